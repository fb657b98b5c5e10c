import { joined, lengthOf } from '#base/time';
import { gapsOf } from './gaps.ts';
import type { Laid } from './in-order.ts';
import { type Aim, DAY_MIN, type Task } from './task.ts';

/** Minutes between two steps for which nobody goes away from the bench. */
const STAYS_MIN = 30;
/** Minutes that going there takes each time: coat, goggles, light, and putting away. */
const GOING_MIN = 15;

/** Steps that are over later than they should, with the minutes. */
export interface Late {
  readonly id: string;
  readonly byMin: number;
  /** Whether it was late before the week began: then no order of it saves that. */
  readonly past: boolean;
  /** Whether it is late also where every wait is as short as it may be. */
  readonly surely: boolean;
}

export interface Cost {
  readonly late: readonly Late[];
  /** Minutes that things wait longer for the next step than they may. */
  readonly gapMin: number;
  /** When the last of it is over. */
  readonly overAt: number;
  /** The ends of all batches together: of two weeks that are over at the same time, which has more of it done sooner. */
  readonly endsMin: number;
  /** Minutes at the bench, in sittings. */
  readonly thereMin: number;
  readonly sittings: number;
  /** Nights that batches stand through, one for each batch and night. */
  readonly nights: number;
}

export function costOf({ placed }: Laid, tasks: ReadonlyMap<string, Task>): Cost {
  const sittings = joined(
    placed
      .filter(({ from, presentUntil }) => presentUntil > from)
      .map(({ from, presentUntil }) => [from, presentUntil]),
    STAYS_MIN,
  );
  const spans = new Map<string, [number, number]>();
  for (const { id, from, over } of placed) {
    const batch = tasks.get(id)?.batch ?? id;
    const [lo, hi] = spans.get(batch) ?? [from, over[1]];
    spans.set(batch, [Math.min(lo, from), Math.max(hi, over[1])]);
  }
  let nights = 0;
  for (const [from, to] of spans.values()) nights += Math.max(0, Math.floor(to / DAY_MIN) - Math.floor(from / DAY_MIN));
  return {
    late: placed.flatMap(({ id, over }) => {
      const due = tasks.get(id)?.byMin;
      return due !== undefined && over[1] > due
        ? [{ id, byMin: over[1] - due, past: due <= 0, surely: over[0] > due }]
        : [];
    }),
    gapMin: gapsOf(placed, tasks).reduce((sum, { min }) => sum + min, 0),
    overAt: Math.max(0, ...placed.map(({ over }) => over[1])),
    endsMin: [...spans.values()].reduce((sum, [, to]) => sum + to, 0),
    thereMin: lengthOf(sittings) + GOING_MIN * sittings.length,
    sittings: sittings.length,
    nights,
  };
}

const BY: Readonly<Record<Aim, (cost: Cost) => readonly number[]>> = {
  soonest: ({ overAt, endsMin, thereMin }) => [overAt, endsMin, thereMin],
  'least time there': ({ thereMin, overAt, endsMin }) => [thereMin, overAt, endsMin],
  'fewest nights': ({ nights, overAt, endsMin }) => [nights, overAt, endsMin],
};

/** What a week is compared by: what has no room, what is late and what waits too long for its next step first, then what is aimed at. */
export function scoreOf(laid: Laid, cost: Cost, aim: Aim): readonly number[] {
  const late = cost.late.reduce((sum, { byMin, past }) => sum + (past ? 0 : byMin), 0);
  return [laid.left.length, late, cost.gapMin, ...BY[aim](cost)];
}

export function isLess(a: readonly number[], b: readonly number[]): boolean {
  for (const [i, x] of a.entries()) {
    const y = b[i] ?? 0;
    if (x !== y) return x < y;
  }
  return false;
}
