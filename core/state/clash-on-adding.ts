import { type Clash, clashesOf, type Present } from '#core/guard';
import { ok, type Result } from '#core/problem';
import { type BottleCard, contentOf } from '#core/stock';

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
  const own = clashesOf(present, { substanceId: bottle.card.substanceId, pct });
  const others = bottle.card.others.flatMap(({ substanceId }) => clashesOf(present, { substanceId, pct: 100 }));
  const said = new Map([...others, ...own].map((clash) => [clash.sentence, clash]));
  const rank = { refuse: 0, danger: 1, caution: 2 } as const;
  return ok([...said.values()].sort((a, b) => rank[a.severity] - rank[b.severity]));
}
