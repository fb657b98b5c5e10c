import type { BottleCard, BottleTest } from './bottle.ts';

/** What a bottle is good enough for, from best to poorest. */
export const uses = ['standards', 'exact reagents', 'plain reagents', 'rough work'] as const;
export type Use = (typeof uses)[number];

export interface GoodFor {
  readonly use: Use;
  /** Why not better; empty for the best. */
  readonly because: string;
  /** The bottle that holds it back, where that is another one. */
  readonly heldBackBy: string | null;
}

/** A bottle as it is judged. */
export interface Judged {
  readonly card: BottleCard;
  readonly tests: readonly BottleTest[];
}

/** ± % of the strength, 95 %, up to which a measured one serves as a standard, and as an exact reagent. */
const STANDARD_PCT = 0.6;
const EXACT_PCT = 2;
/** Label purities, mass %, from which on a solid is an exact or a plain reagent. */
const EXACT_LABEL = 99;
const PLAIN_LABEL = 95;

/** What a bottle is good for by itself: by how well its strength is known, its label's purity, and its tests. A rule of thumb. */
function byItself({ card, tests }: Judged): GoodFor {
  const failed = tests.findLast(({ outcome }) => outcome === 'not as expected');
  const at = (use: Use, because: string): GoodFor => ({ use, because, heldBackBy: null });
  if (failed) return at('rough work', `a test did not go as expected: ${failed.test}`);
  const { strength, strengthBand, measured } = card;
  if (card.others.some(({ substanceId }) => substanceId !== 'water'))
    return at('rough work', 'something else is in it');
  if (measured && strength && strengthBand !== null && strength.value > 0) {
    const pct = (100 * strengthBand) / strength.value;
    if (pct <= STANDARD_PCT) return at('standards', '');
    return pct <= EXACT_PCT
      ? at('exact reagents', `its strength is known to ± ${Number(pct.toPrecision(2))} %`)
      : at('plain reagents', `its strength is known to ± ${Number(pct.toPrecision(2))} % only`);
  }
  if (strength === null) return at('plain reagents', 'its label gives no purity');
  if (strength.unit === 'w/w' && strength.value >= EXACT_LABEL) return at('exact reagents', 'by its label alone');
  if (strength.unit === 'w/w' && strength.value >= PLAIN_LABEL) return at('plain reagents', 'by its label alone');
  return at(
    card.assayed ? 'exact reagents' : 'plain reagents',
    card.assayed ? 'assayed once' : 'its strength is by its label alone',
  );
}

/**
 * What a bottle is good enough for: no better than the poorest that went into it. Its own assay tells its strength, not what came
 * along; so a solution made of rough bottles stays rough however well it is titrated.
 */
export function goodFor(bottle: Judged, ancestors: readonly Judged[]): GoodFor {
  const own = byItself(bottle);
  const poorest = ancestors
    .map((each) => ({ each, good: byItself(each) }))
    .sort((a, b) => uses.indexOf(b.good.use) - uses.indexOf(a.good.use))[0];
  if (!poorest || uses.indexOf(poorest.good.use) <= uses.indexOf(own.use)) return own;
  return { use: poorest.good.use, because: poorest.good.because, heldBackBy: poorest.each.card.name };
}
