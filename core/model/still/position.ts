import type { StillPoint } from './asked.ts';
import { mlAtMinutes, pointAt } from './outlook.ts';

/** What tells how far a distillation has come, besides a balance under the spout. */
export interface Told {
  /** The last volume that was read, mL over, and minutes of the course since then. */
  readonly readMl: number;
  readonly sinceMin: number;
  /** °C of the head, as it was last read after that volume, and minutes since that; null where it was not. */
  readonly head: { readonly headC: number; readonly sinceMin: number } | null;
}

/** A thermometer in a head, K; and how much faster or slower one’s own still runs than its plan. */
const HEAD_SD_K = 0.5;
const PACE_SD = 0.25;
/** mL: two positions so near are one. */
const STEP_ML = 0.25;

/**
 * mL over by the clock and by the head together, each weighed by how well it tells: on a plateau the head says little, at the
 * steep end it says nearly all. About, within the half of its band.
 */
export function positionBy(
  points: readonly StillPoint[],
  { readMl, sinceMin, head }: Told,
): { readonly ml: number; readonly sd: number } {
  const last = points.at(-1);
  const [first] = points;
  if (!first || !last) return { ml: readMl, sd: 0 };
  const start = pointAt(points, 'minutes', readMl) - first.minutes;
  const after = (minutes: number) => mlAtMinutes(points, start + Math.max(0, minutes));
  const byClock = after(sinceMin);
  const spread = (ml: number) => Math.max(STEP_ML, PACE_SD * Math.max(0, ml - readMl));
  if (!head) return { ml: byClock, sd: spread(byClock) };
  // Where it stood when the head was read: the likeliest place by both.
  const then = after(sinceMin - head.sinceMin);
  const sd = spread(then);
  let [sum, mean, square] = [0, 0, 0];
  for (let ml = readMl; ml <= last.overMl; ml += Math.max(STEP_ML, last.overMl / 2000)) {
    const z = (pointAt(points, 'headC', ml) - head.headC) / HEAD_SD_K;
    const t = (ml - then) / Math.max(sd, 0.05 * last.overMl);
    const weight = Math.exp(-0.5 * (z * z + t * t));
    sum += weight;
    mean += weight * ml;
    square += weight * ml * ml;
  }
  // A head that no place of the course has says nothing: the still is another than was planned.
  if (!(sum > 1e-12)) return { ml: byClock, sd: spread(byClock) };
  mean /= sum;
  const found = Math.max(STEP_ML, Math.sqrt(Math.max(0, square / sum - mean * mean)));
  const since = pointAt(points, 'minutes', mean) - first.minutes + head.sinceMin;
  return { ml: mlAtMinutes(points, since), sd: found };
}
