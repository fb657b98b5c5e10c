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
  let low = -Math.min(ester, water);
  let high = Math.min(acid, alcohol);
  for (let i = 0; i < HALVINGS && high - low > 0; i += 1) {
    const mid = (low + high) / 2;
    if (driving(mid) > 0) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}

const HALVINGS = 60;
