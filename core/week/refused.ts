import { type Problem, problem } from '#core/problem';
import { presentMin, type Stretch, type Task, type WeekInput } from './task.ts';

/** Stretches that are in both. */
export function both(a: readonly Stretch[], b: readonly Stretch[]): readonly Stretch[] {
  return a.flatMap(([from, to]) =>
    b.flatMap(([f, t]): readonly Stretch[] => {
      const [lo, hi] = [Math.max(from, f), Math.min(to, t)];
      return hi > lo ? [[lo, hi]] : [];
    }),
  );
}

const hours = (min: number): string => `${Number((min / 60).toPrecision(3))} h`;

/** What makes a week impossible, with the smallest change that would help; null where nothing does. */
export function weekProblem({ tasks, free, light }: WeekInput): Problem | null {
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
  const wanting = tasks.filter((task) => task.startedMin === undefined && presentMin(task) > 0);
  if (wanting.length > 0 && free.length === 0)
    return problem('out-of-range', 'There is no free hour at all: say when you are there.', { field: 'free' });
  for (const task of wanting) {
    const there = task.daylight ? both(free, light) : free;
    const longest = Math.max(0, ...there.map(([from, to]) => to - from));
    const lacking = presentMin(task) - longest;
    if (lacking > 1e-9)
      return problem(
        'out-of-range',
        `“${task.title}” wants ${hours(presentMin(task))} in one stretch${task.daylight ? ' by daylight' : ''}, and your longest is ${hours(longest)}: one of them longer by ${Math.ceil(lacking)} min would do.`,
        { field: 'free' },
      );
  }
  return null;
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
