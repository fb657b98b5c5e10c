import { normal, seeded } from '#base/figure';
import { ok, type Result } from '#base/problem';
import { lengthOf, type Stretch, without } from '#base/time';
import type { Really } from './book.ts';
import { hoursOf, inOrder } from './in-order.ts';
import { placeWeek } from './place.ts';
import { DAY_MIN, type Task, type WeekInput } from './task.ts';

/** How a step went in many tries of the same week. */
export interface Rehearsed {
  readonly id: string;
  /** Tries in which it began on a later day than planned, or not at all. */
  readonly slipped: number;
  /** Tries in which it went on past the hours at the bench. */
  readonly intoNight: number;
  readonly late: number;
  /** When it began: one try in twenty sooner, the middle, one in twenty later; null where it seldom began. */
  readonly began: readonly [number, number, number] | null;
}

/** How far hands are from what they were expected to take: a tenth more in the middle, two thirds of tries within a quarter of that. */
const HANDS = { middle: 1.1, spread: 0.25 } as const;
/** One wait in ten is longer than its longest, by up to a third. */
const OVER = { share: 0.1, most: 1 / 3 } as const;
/** Past the hours by no more than this is no harm, minutes. */
const HARMLESS_MIN = 5;

/**
 * A week gone through many times, in its order, with hands and waits drawn again each time: a person begins a step where it fits as
 * planned, and it then takes what it takes. How far the draws are off is about what benches show, and no more than that.
 */
export function rehearse(
  input: WeekInput,
  { tries, seed }: { readonly tries: number; readonly seed: number },
): Result<{ readonly tries: number; readonly steps: readonly Rehearsed[] }> {
  const planned = placeWeek(input);
  if (!planned.ok) return planned;
  const { order, holds, placed } = planned.value;
  const by = new Map(input.tasks.map((task) => [task.id, task]));
  const tasks = input.tasks.map((task) => {
    const until = holds[task.id];
    return until === undefined ? task : { ...task, notBeforeMin: Math.max(until, task.notBeforeMin ?? 0) };
  });
  const held = new Map(tasks.map((task) => [task.id, task]));
  const inTurn = order.flatMap((id) => held.get(id) ?? []);
  const hours = hoursOf(input);
  const random = seeded(seed);
  const tally = new Map(placed.map((each) => [each.id, { slipped: 0, intoNight: 0, late: 0, from: [] as number[] }]));
  for (let i = 0; i < tries; i += 1) {
    const really = new Map(tasks.map((task) => [task.id, drawn(task, random)]));
    const laid = inOrder(tasks, inTurn, { hours, really });
    const at = new Map(laid.placed.map((each) => [each.id, each]));
    for (const plan of placed) {
      const count = tally.get(plan.id);
      const task = by.get(plan.id);
      const went = at.get(plan.id);
      if (!count || !task) continue;
      if (!went || dayOf(went.from) > dayOf(plan.from)) count.slipped += 1;
      if (!went) continue;
      count.from.push(went.from);
      const present: Stretch = [went.from, went.presentUntil];
      if (task.startedMin === undefined && lengthOf(without([present], hours.free)) > HARMLESS_MIN)
        count.intoNight += 1;
      if (task.byMin !== undefined && went.over[1] > task.byMin) count.late += 1;
    }
  }
  const steps = placed.map(({ id }): Rehearsed => {
    const { from, ...counts } = tally.get(id) ?? { slipped: 0, intoNight: 0, late: 0, from: [] };
    return { id, ...counts, began: from.length > 0.5 * tries ? quantiles(from) : null };
  });
  return ok({ tries, steps });
}

const dayOf = (at: number): number => Math.floor(at / DAY_MIN);

function quantiles(all: number[]): readonly [number, number, number] {
  const sorted = all.sort((a, b) => a - b);
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
  return [at(0.05), at(0.5), at(0.95)];
}

/** What a step takes this time. */
function drawn({ handsOnMin, waitMin: [least, most] }: Task, random: () => number): Really {
  const hands = handsOnMin * HANDS.middle * Math.exp(HANDS.spread * normal(random));
  const over = random() < OVER.share;
  const share = random();
  return { handsOnMin: hands, waitMin: over ? most * (1 + OVER.most * share) : least + (most - least) * share };
}
