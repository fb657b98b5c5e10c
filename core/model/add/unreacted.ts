/** A portion that went in, g, and how long ago, minutes. */
export interface Portion {
  readonly grams: number;
  readonly minutesAgo: number;
}

/** g that have gone in without reacting yet, each portion halving in `halfLifeMin`. */
export function unreacted(portions: readonly Portion[], halfLifeMin: number): number {
  return portions.reduce(
    (sum, { grams, minutesAgo }) => sum + grams * 2 ** (-Math.max(0, minutesAgo) / halfLifeMin),
    0,
  );
}
