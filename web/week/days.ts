import dayjs from 'dayjs';
import { both, joined, lengthOf, type Stretch, without } from '#base/time';
import type { WeekAnswer } from '#contract/api';
import type { BenchTask } from '#run/agenda';
import type { InWeek, Week } from '#run/week';

/** A step on a day, with what is known of it. */
export interface Card {
  readonly task: BenchTask;
  readonly placed: InWeek;
}

/** Steps of one batch that follow one another at once on a day. */
export interface Run {
  readonly batch: string;
  readonly cards: readonly Card[];
}

export interface Day {
  /** ISO day. */
  readonly day: string;
  readonly title: string;
  readonly whole: Stretch;
  readonly free: readonly Stretch[];
  readonly light: readonly Stretch[];
  readonly wet: boolean;
  /** °C outdoors, least and most; null where nobody has said. */
  readonly airC: Stretch | null;
  /** Minutes at the bench that nothing takes yet. */
  readonly leftMin: number;
  readonly cards: readonly Card[];
  /** Batches that something goes on in through the night after it. */
  readonly overnight: readonly string[];
}

const MINUTE_MS = 60_000;

/** The days of a week, each with its hours and what stands on it. */
export function daysOf(
  answer: WeekAnswer,
  week: Week | undefined,
  span: readonly [first: number, count: number],
): readonly Day[] {
  const { laid, tasks, hours } = answer;
  const start = dayjs(laid.from);
  const min = (at: dayjs.Dayjs) => (at.valueOf() - start.valueOf()) / MINUTE_MS;
  const by = new Map(tasks.map((task) => [task.id, task]));
  const placed = [...(week?.placed ?? [])].sort((a, b) => a.from - b.from);
  const busy = joined(placed.map(({ from, presentUntil }): Stretch => [from, presentUntil]).filter(([f, t]) => t > f));
  return Array.from({ length: span[1] }, (_, i) => {
    const day = start.add(span[0] + i, 'day');
    const whole: Stretch = [min(day), min(day.add(1, 'day'))];
    const inDay = (all: readonly Stretch[]) => both(all, [whole]);
    const free = inDay(laid.free);
    const night = whole[1];
    return {
      day: day.format('YYYY-MM-DD'),
      title: day.format('ddd D MMM'),
      whole,
      free,
      light: inDay(laid.light),
      wet: hours.wet.includes(day.format('YYYY-MM-DD')),
      airC: hours.air?.find((each) => each.day === day.format('YYYY-MM-DD'))?.airC ?? null,
      leftMin: lengthOf(without(free, busy)),
      cards: placed.flatMap((each) => {
        const task = by.get(each.id);
        return task && each.from >= whole[0] && each.from < whole[1] ? [{ task, placed: each }] : [];
      }),
      overnight: [
        ...new Set(
          placed.flatMap(({ id, from, over }) => {
            const task = by.get(id);
            return task && from < night && over[1] > night ? [task.batch] : [];
          }),
        ),
      ],
    };
  });
}

/** More than this between two steps of a batch parts them, min. */
const PARTS_MIN = 20;

/** The cards of a day in order, those of one batch that follow one another at once together. */
export function runsOf({ cards }: Day): readonly Run[] {
  const runs: { batch: string; cards: Card[] }[] = [];
  for (const card of cards) {
    const last = runs.at(-1);
    const before = last?.cards.at(-1);
    const follows = before && card.placed.from - before.placed.presentUntil <= PARTS_MIN && startedAlike(before, card);
    if (last && last.batch === card.task.batch && follows) last.cards.push(card);
    else runs.push({ batch: card.task.batch, cards: [card] });
  }
  return runs;
}

const startedAlike = (a: Card, b: Card): boolean =>
  (a.task.startedMin === undefined) === (b.task.startedMin === undefined);

/** Where a step comes to stand that is put down on a day, before one of its cards or behind the last: after what stands before it. */
export function placeOn(day: Day, before: string | null, id: string): number {
  const cards = day.cards.filter((card) => card.task.id !== id);
  const at = before === null ? cards.length : cards.findIndex((card) => card.task.id === before);
  const above = cards.slice(0, at < 0 ? cards.length : at);
  const opens = day.free[0]?.[0] ?? day.whole[0] + 18 * 60;
  return Math.max(opens, ...above.map(({ placed }) => placed.presentUntil));
}
