import { numberAt } from '#core/lookup';
/** A curve through points that never swings past them: the monotone cubic of Fritsch and Carlson (1980), with end slopes of zero curvature kept in bounds. `xs` rise. */
export interface Curve {
  readonly xs: Float64Array;
  readonly ys: Float64Array;
  /** dy/dx at each point. */
  readonly slopes: Float64Array;
}

export function curveThrough(points: readonly (readonly [number, number])[]): Curve {
  const n = points.length;
  const xs = Float64Array.from(points, ([x]) => x);
  const ys = Float64Array.from(points, ([, y]) => y);
  const slopes = new Float64Array(n);
  const secant = (i: number) => (numberAt(ys, i + 1) - numberAt(ys, i)) / (numberAt(xs, i + 1) - numberAt(xs, i));
  for (let i = 1; i < n - 1; i++) {
    const [before, after] = [secant(i - 1), secant(i)];
    if (before * after <= 0) continue;
    const [h0, h1] = [numberAt(xs, i) - numberAt(xs, i - 1), numberAt(xs, i + 1) - numberAt(xs, i)];
    // Weighted harmonic mean: stays within three times the smaller secant.
    slopes[i] = (3 * (h0 + h1)) / ((2 * h1 + h0) / before + (h1 + 2 * h0) / after);
  }
  slopes[0] = secant(0);
  slopes[n - 1] = secant(n - 2);
  return { xs, ys, slopes };
}

/** The curve at x; its end value beyond the ends. */
export function at({ xs, ys, slopes }: Curve, x: number): number {
  const last = xs.length - 1;
  if (x <= numberAt(xs, 0)) return numberAt(ys, 0);
  if (x >= numberAt(xs, last)) return numberAt(ys, last);
  let low = 0;
  let high = last;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (numberAt(xs, middle) <= x) low = middle;
    else high = middle;
  }
  const h = numberAt(xs, high) - numberAt(xs, low);
  const t = (x - numberAt(xs, low)) / h;
  const u = 1 - t;
  return (
    u * u * ((1 + 2 * t) * numberAt(ys, low) + t * h * numberAt(slopes, low)) +
    t * t * ((3 - 2 * t) * numberAt(ys, high) - u * h * numberAt(slopes, high))
  );
}
