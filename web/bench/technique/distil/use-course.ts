import { useMemo } from 'react';
import type { FeedReading } from '#contract/api';
import {
  firstDrop,
  mlAtGrams,
  mlAtMinutes,
  positionBy,
  readingsFrom,
  type StillPoint,
  type StillReading,
} from '#model/still';
import type { StillRun } from '#run/state';
import { useNow } from '#web/parts/use-now.ts';
import { useCompute } from '#web/worker/compute.ts';
import { type FitState, useFit } from '#web/worker/use-fit.ts';

/** How a distillation stands: what was expected, what the readings make of it, where it is now. */
export interface Course {
  readonly planned: readonly StillPoint[] | undefined;
  readonly points: readonly StillPoint[];
  readonly band: readonly [readonly StillPoint[], readonly StillPoint[]] | undefined;
  readonly fitted: FitState;
  readonly readings: readonly StillReading[];
  /** mL over by now; null before the first drop. */
  readonly nowMl: number | null;
  /** g in the receiver under the spout, as the balance shows. */
  readonly receiverG: number | null;
  readonly headC: number | null;
  readonly potC: number | null;
  readonly watts: number | null;
  readonly azeotrope: ReturnType<typeof useStillAnswer>['azeotrope'];
  /** Why what is in the flask is not distilled here; empty when it is. */
  readonly refused: string;
}

/** A reading more does not change what forty said: the search begins again with each so many. */
const EVERY = 8;
const EVERY_MS = 10_000;
/** How well plates and heat of one’s own still are known. */
const PLATES_SD = 0.35;
const HEAT_SD = 0.2;

function useStillAnswer(run: StillRun) {
  const answer = useCompute('still', run.asked);
  return { answer, azeotrope: answer.value?.azeotrope ?? null };
}

/** Follows a distillation by its instruments, or by what was entered. */
export function useCourse(run: StillRun, shown: readonly FeedReading[]): Course {
  const { since } = run;
  // What instruments showed before this charge was of another.
  const feed = useMemo(() => (since === null ? shown : shown.filter(({ at }) => at > since)), [shown, since]);
  const { answer, azeotrope } = useStillAnswer(run);
  const { asked, pctSd, readings: byHand } = run;
  const { heaterW } = asked.apparatus;
  const readings = useMemo(() => (feed.length > 0 ? readingsFrom(feed, heaterW) : byHand), [feed, byHand, heaterW]);
  const counted = Math.floor(readings.length / EVERY) * EVERY;
  const enough = feed.length > 0 ? counted >= EVERY : readings.length >= 3;
  // biome-ignore lint/correctness/useExhaustiveDependencies: begun again with every so many readings, not with each
  const question = useMemo(
    () => (enough ? { still: asked, pctSd, platesSd: PLATES_SD, heatSd: HEAT_SD, readings: [...readings] } : undefined),
    [asked, pctSd, enough, feed.length > 0 ? counted : readings],
  );
  const fitted = useFit(question);
  const planned = answer.value?.points;
  const points = fitted.fit?.points ?? planned ?? NONE;
  const band = useMemo(() => (fitted.fit ? ([fitted.fit.low, fitted.fit.high] as const) : undefined), [fitted.fit]);
  const last = feed.at(-1);
  const dropped = feed.length > 0 && firstDrop(feed) !== null;
  const now = useNow(EVERY_MS);
  const minutes =
    feed.length > 0 || run.firstDropAt === null ? null : Math.max(0, (now - Date.parse(run.firstDropAt)) / 60_000);
  const over =
    feed.length > 0
      ? readings.at(-1)
      : readings.findLast(({ overMl, overG }) => overMl !== undefined || overG !== undefined);
  return {
    planned,
    points,
    band,
    fitted,
    readings,
    nowMl: nowOf({ points, dropped, over, minutes, head: feed.length > 0 ? undefined : headSince(byHand, over) }),
    receiverG: last ? last.massG : null,
    headC: last?.headC ?? lastOf(byHand, 'headC'),
    potC: last?.potC ?? lastOf(byHand, 'potC'),
    watts: last?.watts ?? null,
    azeotrope,
    refused: answer.problem?.message ?? '',
  };
}

const NONE: readonly StillPoint[] = [];

function lastOf(readings: readonly StillReading[], column: 'headC' | 'potC'): number | null {
  return readings.findLast((each) => each[column] !== undefined)?.[column] ?? null;
}

interface Elapsed {
  readonly points: readonly StillPoint[];
  readonly dropped: boolean;
  readonly over: StillReading | undefined;
  /** Min since the first drop, by the clock; null at instruments, and before it. */
  readonly minutes: number | null;
  /** The head as it was last read by hand, after that volume. */
  readonly head: StillReading | undefined;
}

function headSince(readings: readonly StillReading[], over: StillReading | undefined): StillReading | undefined {
  return readings.findLast(({ headC, minutes }) => headC !== undefined && minutes >= (over?.minutes ?? 0));
}

/** By the balance; without one by the last volume that was read, the time since then, and the head. */
function nowOf({ points, dropped, over, minutes, head }: Elapsed): number | null {
  if (points.length === 0 || (!dropped && minutes === null)) return null;
  if (dropped) return over?.overG === undefined ? 0 : mlAtGrams(points, over.overG);
  const readMl = over?.overMl ?? 0;
  const sinceMin = (minutes ?? 0) - (over?.minutes ?? 0);
  const whole = (points.at(-1)?.minutes ?? 0) - (points[0]?.minutes ?? 0);
  // Long after it must be over, time says nothing any more.
  if (!(sinceMin > 0) || sinceMin > 2 * whole) return readMl;
  const told = head?.headC === undefined ? null : { headC: head.headC, sinceMin: (minutes ?? 0) - head.minutes };
  return positionBy(points, { readMl, sinceMin, head: told }).ml;
}

/** mL over at a reading, for its place on the chart. */
export function mlOfReading(points: readonly StillPoint[], { overMl, overG, minutes }: StillReading): number {
  if (overMl !== undefined) return overMl;
  return overG === undefined ? mlAtMinutes(points, minutes) : mlAtGrams(points, overG);
}
