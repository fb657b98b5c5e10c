import type { StepState } from '#run/state';

/** Minutes from the beginning to the end of a step, in finished runs of this bench, by the key of the step. */
export type Paces = Readonly<Record<string, readonly number[]>>;

/** From so many runs on, one's own times stand in the place of the route's. */
const ENOUGH = 2;
/** An end pressed so many times later than it should have been was forgotten, min and times. */
const FORGOTTEN = { times: 3, min: 45 } as const;

interface Paced {
  readonly handsOnMin: number;
  readonly waitMin: readonly [number, number];
  readonly ownRuns: number;
}

/**
 * How long a step takes: hands on, then waiting. Of one that is stayed with, one's own runs say the whole of it; of one that may be
 * left they say only when somebody came back, and where a model computes the hours from the amounts another amount took another
 * time: there they say nothing.
 */
export function paced({ key, template, waitH, leave, modelled }: StepState, paces: Paces = {}): Paced {
  const handsOnMin = template?.handsOnMin ?? 5;
  const waitMin: readonly [number, number] = [60 * waitH[0], 60 * waitH[1]];
  const asPlanned = { handsOnMin, waitMin, ownRuns: 0 };
  if (leave.alone || modelled) return asPlanned;
  const most = Math.max(FORGOTTEN.min, FORGOTTEN.times * (handsOnMin + waitMin[1]));
  const own = (Object.hasOwn(paces, key) ? (paces[key] ?? []) : []).filter((min) => min > 0 && min < most);
  if (own.length < ENOUGH) return asPlanned;
  const [least, longest] = [Math.min(...own), Math.max(...own)];
  // Hands take what they take of the shortest; what else it took is waiting by it.
  const hands = Math.min(handsOnMin, least);
  return { handsOnMin: hands, waitMin: [least - hands, longest - hands], ownRuns: own.length };
}
