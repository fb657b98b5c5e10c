import { ok, type Result } from '#base/problem';
import { type Clash, clashesOf, type Present } from '#matter/guard';
import { massFraction } from '#matter/solution';
import { type BottleCard, contentOf } from '#matter/stock';
import { substanceById } from '#matter/substance';

/** A bottle that is about to be poured into a vessel. */
export interface AboutToAdd {
  readonly present: readonly Present[];
  readonly bottle: { readonly id: string; readonly card: BottleCard; readonly usedG: number };
  readonly tempC: number;
  /** ISO day: what does not keep is aged to it. */
  readonly today: string;
}

/**
 * What a bottle would do in a vessel, by the strength it really has, whatever unit its label gives; and by each other
 * active that it holds. A bottle whose strength is not known is refused as everywhere, never taken as some percent.
 */
export function clashOnAdding({ present, bottle, tempC, today }: AboutToAdd): Result<readonly Clash[]> {
  const content = contentOf(bottle, tempC, today);
  // Without a strength it may be as strong as it comes: the worst is told.
  const pct = content.ok ? content.value.w.value : 100;
  const dry = LIES_DRY.has(bottle.card.container) && bottle.card.size?.unit !== 'mL';
  const own = clashesOf(present, { substanceId: bottle.card.substanceId, pct, dry }, { tempC });
  const others = bottle.card.others.flatMap(({ substanceId, strength }) =>
    clashesOf(present, { substanceId, pct: pctOf(substanceId, strength, tempC), dry }, { tempC }),
  );
  const said = new Map([...others, ...own].map((clash) => [clash.sentence, clash]));
  const rank = { refuse: 0, danger: 1, caution: 2 } as const;
  return ok([...said.values()].sort((a, b) => rank[a.severity] - rank[b.severity]));
}

const LIES_DRY: ReadonlySet<string> = new Set(['bag', 'tub', 'tube', 'strip', 'jar']);

/** As strong as its label says; as strong as it comes where that gives no mass %. */
function pctOf(substanceId: string, strength: BottleCard['others'][number]['strength'], tempC: number): number {
  const substance = substanceById(substanceId);
  const w = substance ? massFraction(strength, substance, tempC) : undefined;
  return w?.ok ? Math.min(100, w.value) : 100;
}
