import { type Problem, problem } from '#base/problem';
import { both } from '#base/time';
import { fitFor } from './outdoors.ts';
import { presentMin, type Task, type WeekInput } from './task.ts';

/** “45 min”, “13.3 h”. */
const length = (min: number): string => (min < 90 ? `${Math.ceil(min)} min` : `${Number((min / 60).toPrecision(3))} h`);

/** What makes a week no week at all; null where nothing does. */
export function weekProblem({ tasks, free }: WeekInput): Problem | null {
  const ids = new Set<string>();
  for (const { id } of tasks) {
    if (ids.has(id)) return problem('invalid-input', `Two steps have the id “${id}”.`, { field: 'tasks' });
    ids.add(id);
  }
  for (const { title, after } of tasks) {
    const unknown = after.find((each) => !ids.has(each));
    if (unknown)
      return problem('invalid-input', `“${title}” waits for “${unknown}”, which is not among the steps.`, {
        field: 'tasks',
      });
  }
  const circle = circleIn(tasks);
  if (circle)
    return problem('invalid-input', `These wait for one another: ${circle.join(', ')}. Let one of them go first.`, {
      field: 'tasks',
    });
  const wanting = tasks.some((task) => task.startedMin === undefined && presentMin(task) > 0);
  return wanting && free.length === 0
    ? problem('out-of-range', 'There is no free hour at all: say when you are there.', { field: 'free' })
    : null;
}

/** Why a step has no place in any stretch, with the smallest change that would help; null where one is long enough. */
export function tooLong(task: Task, { free, light, air }: WeekInput): string | null {
  if (task.startedMin !== undefined || task.pinnedMin !== undefined) return null;
  const present = presentMin(task);
  const lit = both(free, light);
  const there = task.daylight ? fitFor(task, lit, air) : free;
  const longest = Math.max(0, ...there.map(([from, to]) => to - from));
  const lacking = present - longest;
  if (lacking <= 1e-9) return null;
  if (task.airC && task.daylight && lit.some(([from, to]) => to - from >= present))
    return `“${task.title}” wants a day outdoors between ${task.airC[0]} and ${task.airC[1]} °C, and none of these is: another day would do.`;
  const wants = `“${task.title}” wants ${length(present)} in one stretch${task.daylight ? ' by daylight' : ''}`;
  if (longest === 0)
    return `${wants}, and ${task.daylight ? 'none of your hours is by daylight' : 'you are never there'}: ${length(present)} ${task.daylight ? 'by day' : 'once'} would do.`;
  return `${wants}, and your longest is ${length(longest)}: one of them longer by ${Math.ceil(lacking)} min would do.`;
}

/** Titles of steps that wait for one another; null where none do. */
function circleIn(tasks: readonly Task[]): readonly string[] | null {
  const left = new Map(tasks.map((task) => [task.id, task]));
  for (let went = true; went; ) {
    went = false;
    for (const [id, { after }] of left)
      if (!after.some((each) => left.has(each))) {
        left.delete(id);
        went = true;
      }
  }
  return left.size > 0 ? [...left.values()].map(({ title }) => `“${title}”`) : null;
}
