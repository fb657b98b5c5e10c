import { fail, ok, type Result } from '#base/problem';
import type { Stretch } from '#base/time';
import { type InWeek, placeWeek } from './place.ts';
import type { WeekInput } from './task.ts';

/** More than a week in one go is no free time. */
const MOST_MIN = 10_080;

/**
 * What of a week can be done in a stretch of free time, in the order to do it, and what of it must still be gone on with afterwards by
 * itself. Steps that wait for others are only in it where those are in it too, or done; what must be followed at once only with that.
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
  const inIt = found.value.placed.filter(({ presentUntil }) => presentUntil <= to + 1e-9);
  return ok(
    withFollowers(inIt, tasks, to)
      .filter((each) => !begun.has(each.id) && each.presentUntil > each.from)
      .sort((a, b) => a.from - b.from),
  );
}

/** Without what would be over within the stretch, and whose next step must come close behind it and has no room there. */
function withFollowers(all: readonly InWeek[], tasks: WeekInput['tasks'], to: number): readonly InWeek[] {
  const ids = new Set(all.map(({ id }) => id));
  const prompt = tasks.filter(({ id, withinMin }) => withinMin !== undefined && !ids.has(id));
  const rest = all.filter(({ id, over }) => over[0] > to || !prompt.some(({ after }) => after.includes(id)));
  return rest.length === all.length ? rest : withFollowers(rest, tasks, to);
}
