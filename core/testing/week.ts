import { unwrap } from '#base/problem';
import type { Stretch } from '#base/time';
import { placeWeek, type Task, type Week, type WeekInput } from '#run/week';

const DAY = 1440;

/** Two weeks of one with a job: five evenings from six to ten, and two whole days, each week. */
export const free = Array.from(
  { length: 14 },
  (_, day): Stretch => (day % 7 >= 5 ? [day * DAY + 540, day * DAY + 1320] : [day * DAY + 1080, day * DAY + 1320]),
);
export const light = Array.from({ length: 14 }, (_, day): Stretch => [day * DAY + 480, day * DAY + 1020]);
export const home = Array.from({ length: 14 }, (_, day): Stretch => [day * DAY + 420, day * DAY + 1380]);

/** Half an hour of hands, and what is said otherwise. */
export const task = (id: string, over: Partial<Task> = {}): Task => ({
  id,
  batch: id.slice(0, 1),
  title: id,
  handsOnMin: 30,
  waitMin: [0, 0],
  wait: 'alone',
  daylight: false,
  gear: [],
  after: [],
  ...over,
});

export const week = (tasks: readonly Task[], over: Partial<WeekInput> = {}): Week =>
  unwrap(placeWeek({ tasks, free, light, home, ...over }));

export const placedAt = ({ placed }: Week, id: string): Week['placed'][number] => {
  const found = placed.find((each) => each.id === id);
  if (!found) throw new Error(`${id} is not placed`);
  return found;
};
