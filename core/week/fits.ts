import { fail, ok, type Result } from '#core/problem';
import { type InWeek, placeWeek } from './place.ts';
import type { Stretch, WeekInput } from './task.ts';

/** More than a week in one go is no free time. */
const MOST_MIN = 10_080;

/**
 * What of a week can be done in a stretch of free time, in the order to do it, and what of it must still be gone on with afterwards by
 * itself. Steps that wait for others are only in it where those are in it too, or done.
 */
export function fits(input: WeekInput, [from, to]: Stretch): Result<readonly InWeek[]> {
  if (to - from < 1)
    return fail('out-of-range', 'Less than a minute is free: say how long you have.', { field: 'minutes' });
  if (to - from > MOST_MIN) return fail('out-of-range', 'Say at most a week.', { field: 'minutes' });
  const { order: _, holds: __, aim: ___, ...rest } = input;
  const tasks = rest.tasks.map(({ pinnedMin: _pin, notBeforeMin: _not, ...task }) => task);
  const home = [...(rest.home ?? rest.free), [from, to] as const];
  const found = placeWeek({ ...rest, tasks, free: [[from, to]], home });
  if (!found.ok) return found;
  const begun = new Set(tasks.filter(({ startedMin }) => startedMin !== undefined).map(({ id }) => id));
  return ok(
    found.value.placed
      .filter((each) => !begun.has(each.id) && each.presentUntil > each.from && each.presentUntil <= to + 1e-9)
      .sort((a, b) => a.from - b.from),
  );
}
