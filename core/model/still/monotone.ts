import { doubleAt } from '#base/lookup';
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
  const secant = (i: number) => (doubleAt(ys, i + 1) - doubleAt(ys, i)) / (doubleAt(xs, i + 1) - doubleAt(xs, i));
  for (let i = 1; i < n - 1; i++) {
    const [before, after] = [secant(i - 1), secant(i)];
    if (before * after <= 0) continue;
    const [h0, h1] = [doubleAt(xs, i) - doubleAt(xs, i - 1), doubleAt(xs, i + 1) - doubleAt(xs, i)];
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
  if (x <= doubleAt(xs, 0)) return doubleAt(ys, 0);
  if (x >= doubleAt(xs, last)) return doubleAt(ys, last);
  let low = 0;
  let high = last;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (doubleAt(xs, middle) <= x) low = middle;
    else high = middle;
  }
  const h = doubleAt(xs, high) - doubleAt(xs, low);
  const t = (x - doubleAt(xs, low)) / h;
  const u = 1 - t;
  return (
    u * u * ((1 + 2 * t) * doubleAt(ys, low) + t * h * doubleAt(slopes, low)) +
    t * t * ((3 - 2 * t) * doubleAt(ys, high) - u * h * doubleAt(slopes, high))
  );
}
