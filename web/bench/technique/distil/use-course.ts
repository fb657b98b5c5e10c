import { useMemo } from 'react';
import type { FeedReading } from '#contract/api';
import type { StillRun } from '#core/state';
import { firstDrop, mlAtGrams, readingsFrom, type StillPoint, type StillReading } from '#core/still';
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
}

/** A reading more does not change what forty said: the search begins again with each so many. */
const EVERY = 8;
/** How well plates and heat of one’s own still are known. */
const PLATES_SD = 0.35;
const HEAT_SD = 0.2;

function useStillAnswer(run: StillRun) {
  const answer = useCompute('still', run.asked);
  return { answer, azeotrope: answer.value?.azeotrope ?? null };
}

/** Follows a distillation by its instruments, or by what was entered. */
export function useCourse(run: StillRun, feed: readonly FeedReading[]): Course {
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
  const over = readings.at(-1);
  return {
    planned,
    points,
    band,
    fitted,
    readings,
    nowMl: nowOf({ points, dropped, over, hand: run.firstDropAt !== null }),
    receiverG: last ? last.massG : null,
    headC: last?.headC ?? lastOf(byHand, 'headC'),
    potC: last?.potC ?? lastOf(byHand, 'potC'),
    watts: last?.watts ?? null,
    azeotrope,
  };
}

const NONE: readonly StillPoint[] = [];

function lastOf(readings: readonly StillReading[], column: 'headC' | 'potC'): number | null {
  return readings.findLast((each) => each[column] !== undefined)?.[column] ?? null;
}

function nowOf({
  points,
  dropped,
  over,
  hand,
}: {
  points: readonly StillPoint[];
  dropped: boolean;
  over: StillReading | undefined;
  hand: boolean;
}): number | null {
  if (points.length === 0 || (!dropped && !hand)) return null;
  if (!over) return 0;
  if (over.overMl !== undefined) return over.overMl;
  if (over.overG !== undefined) return mlAtGrams(points, over.overG);
  const zero = points[0]?.minutes ?? 0;
  const found = points.find(({ minutes }) => minutes - zero >= over.minutes);
  return found?.overMl ?? points.at(-1)?.overMl ?? 0;
}

/** mL over at a reading, for its place on the chart. */
export function mlOfReading(points: readonly StillPoint[], { overMl, overG, minutes }: StillReading): number {
  if (overMl !== undefined) return overMl;
  if (overG !== undefined) return mlAtGrams(points, overG);
  const zero = points[0]?.minutes ?? 0;
  const at = points.findIndex((each) => each.minutes - zero >= minutes);
  return at < 0 ? (points.at(-1)?.overMl ?? 0) : (points[at]?.overMl ?? 0);
}
