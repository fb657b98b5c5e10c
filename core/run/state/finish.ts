import type { Figure } from '#base/figure';
import { must } from '#base/lookup';
import { readingValue } from '#base/reading';
import { hoursSaid } from '#base/time';
import { formatNumber } from '#base/units';
import type { Bench } from '#matter/gear';
import { constantMass, type Weighing } from '#model/dry';
import { type Finish, finishOf as fitFinish, type TimedReading } from '#model/rate';
import { type Followed, type TimedRead, weighingSd } from '#run/technique';

export interface FinishAdvice {
  readonly of: string;
  readonly sentence: string;
  /** ISO instant by which it is very likely done. */
  readonly latestAt: string | null;
  readonly finish: Finish;
}

const HOUR = 3_600_000;

/** When a step will be done, from what was read at it. */
export function finishOf(
  followed: readonly Followed[],
  reads: readonly TimedRead[],
  of: { readonly bench: Bench; readonly figures: Readonly<Record<string, Figure | null>>; readonly dries: boolean },
): FinishAdvice | null {
  for (const { quantity, course, of: what, goal } of followed) {
    const mine = reads.filter(({ body }) => body.quantity === quantity);
    if (mine.length < 2) continue;
    const start = Math.min(...mine.map(({ at }) => at));
    const timed = mine.map((each) => timedOf(each, start));
    const size = Math.max(...timed.map(({ low, high }) => Math.abs(high ?? low ?? 0)));
    const sd =
      quantity === 'mass' || quantity === 'left' ? Math.max(weighingSd(of.bench.balanceG), 0.003 * size) : 0.03 * size;
    const end = goal === undefined ? 0 : (of.figures[goal]?.value ?? 0);
    const finish = fitFinish(course, timed, sd, end);
    const latestAt =
      finish.latest === null ? null : new Date(start + Math.min(finish.latest, 1e5) * HOUR).toISOString();
    const dried = of.dries ? constantMass(weighingsOf(mine), of.bench.balanceG) : undefined;
    if (dried?.constant) return { of: what, sentence: `${dried.sentence} It is dry.`, latestAt: null, finish };
    const wet =
      of.dries && finish.endsAt
        ? ` About ${formatNumber(Math.max(0, lastValue(timed) - finish.endsAt.value), 2)} g of water still in it.`
        : '';
    return { of: what, sentence: finishSentence(finish) + wet, latestAt, finish };
  }
  return null;
}

/** Exact readings and bands as weighings; one-sided ones say no mass. */
function weighingsOf(reads: readonly TimedRead[]): readonly Weighing[] {
  return reads.flatMap(({ body, at }) => {
    const read = readingValue(body.reading);
    return read ? [{ at: new Date(at).toISOString(), grams: read.value }] : [];
  });
}

/** The last value read. */
function lastValue(timed: readonly TimedReading[]): number {
  const last = [...timed].sort((a, b) => b.hours - a.hours).find(({ low, high }) => low !== null && high !== null);
  return last ? (must(last.low, 'low') + must(last.high, 'high')) / 2 : 0;
}

function timedOf({ body, at, giveOrTakeMin }: TimedRead, start: number): TimedReading {
  const { reading } = body;
  const time = { hours: (at - start) / HOUR, hoursSd: giveOrTakeMin / 60 / Math.sqrt(3) };
  if (reading.is === 'over') return { ...time, low: reading.value, high: null };
  if (reading.is === 'under') return { ...time, low: null, high: reading.value };
  if (reading.is === 'band') return { ...time, low: reading.low, high: reading.high };
  const value = readingValue(reading)?.value ?? null;
  return { ...time, low: value, high: value };
}

function finishSentence(finish: Finish): string {
  if (finish.hours === null || finish.earliest === null || finish.latest === null) return finish.cannotTell;
  const ends = finish.endsAt
    ? ` It levels out at about ${formatNumber(finish.endsAt.value, 3)} (${formatNumber(finish.endsAt.low, 3)} to ${formatNumber(finish.endsAt.high, 3)}).`
    : '';
  return `Done about ${hoursSaid(finish.hours)} after its first reading, ${hoursSaid(finish.earliest)} to ${hoursSaid(finish.latest)}.${ends}`;
}
