import { bisect } from '#base/numeric';
import { type Mixture, massPct } from './mixture.ts';

/** Where a mixture boils unchanged. */
export interface Azeotrope {
  readonly x: number;
  readonly pct: number;
  readonly tempC: number;
  /** Whether it boils hotter than what lies on either side of it, or cooler. */
  readonly kind: 'maximum' | 'minimum';
}

const CELLS = 400;

/** The azeotrope of a mixture at its pressure; null where it has none, or it lies at the end of what is held. */
export function azeotropeOf(mixture: Mixture): Azeotrope | null {
  const { vapour, ends } = mixture;
  const gap = (x: number) => vapour(x) - x;
  let before = 0.002 * ends;
  for (let i = 1; i < CELLS; i++) {
    const x = ends * (0.002 + (0.996 * i) / CELLS);
    if (gap(before) * gap(x) > 0) {
      before = x;
      continue;
    }
    const meets = bisect(gap, { low: before, high: x });
    if (meets.outcome !== 'converged') return null;
    const at = meets.x;
    const kind = mixture.boilsAt(at) > mixture.boilsAt(0) ? 'maximum' : 'minimum';
    return { x: at, pct: massPct(mixture, at), tempC: mixture.boilsAt(at), kind };
  }
  return null;
}
