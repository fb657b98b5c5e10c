import { itemAt } from '#base/lookup';
/** A current read at a moment, ms; sd in A. */
export interface CurrentRead {
  readonly at: number;
  readonly amps: number;
  readonly sd: number;
}

/** Charge that has passed, A·h, with its standard uncertainty. */
export interface Passed {
  readonly ampHours: number;
  readonly sd: number;
}

/** Between two readings the current went some way from one to the other: how far off a straight line may be, as a share of the step. */
const UNSEEN = 0.25;
/** A meter of its own is off by so much. */
const METER = 0.01;
/** A current that nobody watched for an hour may have drifted by so much. */
const DRIFT_PER_H = 0.05;

/**
 * Charge from readings of the current, taken in any order and at any distance: straight lines between them, the first one held
 * back to the beginning, the last one on to the end. What was not seen widens the band.
 */
export function chargeFrom(reads: readonly CurrentRead[], from: number, to: number): Passed | null {
  const inOrder = [...reads].filter(({ at }) => at <= to).sort((a, b) => a.at - b.at);
  const first = inOrder[0];
  const last = inOrder.at(-1);
  if (!first || !last || to < from) return null;
  const hours = (ms: number) => Math.max(0, ms) / 3_600_000;
  let ampHours = first.amps * hours(first.at - from);
  let variance = (first.amps * DRIFT_PER_H * hours(first.at - from) ** 1.5) ** 2;
  for (let i = 1; i < inOrder.length; i++) {
    const [a, b] = [itemAt(inOrder, i - 1), itemAt(inOrder, i)];
    const begins = Math.max(a.at, from);
    const h = hours(b.at - begins);
    const atBegin =
      a.at >= from || b.at === a.at ? a.amps : a.amps + ((b.amps - a.amps) * (from - a.at)) / (b.at - a.at);
    ampHours += ((atBegin + b.amps) / 2) * h;
    variance += (UNSEEN * Math.abs(b.amps - atBegin) * h) ** 2 + (Math.hypot(a.sd, b.sd) * h * 0.5) ** 2;
  }
  ampHours += last.amps * hours(to - Math.max(last.at, from));
  variance += (last.amps * DRIFT_PER_H * hours(to - last.at) ** 1.5) ** 2;
  return { ampHours, sd: Math.hypot(Math.sqrt(variance), METER * ampHours) };
}
