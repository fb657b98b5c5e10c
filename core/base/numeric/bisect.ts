/** What a search for a root came to. */
export type Root =
  | { readonly outcome: 'converged'; readonly x: number }
  /** Both ends are above nought, or both below, or one is no number. */
  | { readonly outcome: 'no bracket'; readonly atLow: number; readonly atHigh: number }
  | { readonly outcome: 'out of steps'; readonly low: number; readonly high: number };

interface Search {
  readonly low: number;
  readonly high: number;
  /** How wide the bracket may be in the end; where it is not said, as narrow as two neighbouring numbers. */
  readonly within?: number;
  readonly steps?: number;
}

/** Halvings that bring any bracket of doubles to two neighbours, but for those that span nought itself. */
const STEPS = 120;

/**
 * The x between `low` and `high` at which f changes its sign, by halving. It needs no slope and takes a step in f for a root: x is then
 * its edge. Of several roots it finds one.
 */
export function bisect(f: (x: number) => number, { low, high, within = 0, steps = STEPS }: Search): Root {
  const [atLow, atHigh] = [f(low), f(high)];
  if (atLow === 0) return { outcome: 'converged', x: low };
  if (atHigh === 0) return { outcome: 'converged', x: high };
  if (!(atLow > 0 !== atHigh > 0) || Number.isNaN(atLow) || Number.isNaN(atHigh))
    return { outcome: 'no bracket', atLow, atHigh };
  const rises = atLow < 0;
  let [from, to] = [low, high];
  for (let i = 0; i < steps; i++) {
    const middle = from + (to - from) / 2;
    // Between two neighbouring numbers there is none.
    if (to - from <= within || middle === from || middle === to) return { outcome: 'converged', x: middle };
    if (f(middle) < 0 === rises) from = middle;
    else to = middle;
  }
  return to - from <= within
    ? { outcome: 'converged', x: from + (to - from) / 2 }
    : { outcome: 'out of steps', low: from, high: to };
}
