import { bisect } from '#base/numeric';

/** What is in the flask, mol; `taken` is the water led off or held fast. */
export interface Charge {
  readonly acid: number;
  readonly alcohol: number;
  readonly water: number;
  readonly ester: number;
  readonly taken: number;
}

/**
 * mol of ester formed at equilibrium, (ester + x)(water + x − taken) = K (acid − x)(alcohol − x); below zero where ester that was
 * there falls back. Water is never taken away below none. An ideal mixture: within the range of K, worse with much mineral acid.
 */
export function formedAtEnd({ acid, alcohol, water, ester, taken }: Charge, K: number): number {
  const driving = (x: number) =>
    K * (acid - x) * (alcohol - x) - (ester + x) * Math.max(0, water + x - Math.max(0, taken));
  const [low, high] = [-Math.min(ester, water), Math.min(acid, alcohol)];
  const found = bisect(driving, { low, high });
  if (found.outcome === 'converged') return found.x;
  // Driven the same way at both ends: all of it forms, or all that was there falls back.
  return found.outcome === 'no bracket' && found.atHigh > 0 ? high : low;
}
