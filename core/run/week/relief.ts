import { fail, ok, type Result } from '#base/problem';
import type { Stretch } from '#base/time';
import { placeWeek } from './place.ts';
import type { WeekInput } from './task.ts';

/** A change that lets a step come sooner, and by how much. */
export type Relief =
  | { readonly by: 'longer'; readonly stretch: Stretch; readonly soonerMin: number }
  | { readonly by: 'second'; readonly gear: string; readonly soonerMin: number }
  | { readonly by: 'without'; readonly batch: string; readonly soonerMin: number }
  | { readonly by: 'any light'; readonly soonerMin: number };

/** Less than this is not worth the change, minutes. */
const WORTH_MIN = 10;
/** An hour more of being there. */
const MORE_MIN = 60;

/** What would let a step stand sooner, the most first: an hour more on a day before it, a second piece of gear, a batch left out, light. */
export function reliefs(input: WeekInput, id: string): Result<readonly Relief[]> {
  const now = placeWeek(input);
  if (!now.ok) return now;
  const task = input.tasks.find((each) => each.id === id);
  if (!task) return fail('invalid-input', `“${id}” is not among the steps.`, { field: 'id' });
  const kept = { ...input, order: input.order ?? now.value.order, holds: input.holds ?? now.value.holds };
  const horizon = Math.max(0, ...input.free.map(([, to]) => to));
  const from = now.value.placed.find((each) => each.id === id)?.from ?? horizon;
  const sooner = (changed: WeekInput): number => {
    const then = placeWeek(changed);
    const at = then.ok ? then.value.placed.find((each) => each.id === id)?.from : undefined;
    return at === undefined ? 0 : from - at;
  };
  const found: Relief[] = [];
  const note = (relief: Relief) => {
    if (relief.soonerMin >= WORTH_MIN) found.push(relief);
  };
  for (const stretch of input.free.filter(([f]) => f <= from).slice(-7)) {
    const free = input.free.map(([f, t]): Stretch => (f === stretch[0] ? [f, t + MORE_MIN] : [f, t]));
    note({ by: 'longer', stretch, soonerMin: sooner({ ...kept, free }) });
  }
  for (const gear of new Set(input.tasks.flatMap((each) => each.gear)))
    note({
      by: 'second',
      gear,
      soonerMin: sooner({ ...kept, pieces: { ...kept.pieces, [gear]: (kept.pieces?.[gear] ?? 1) + 1 } }),
    });
  for (const batch of new Set(input.tasks.map((each) => each.batch)))
    if (batch !== task.batch && input.tasks.every((each) => each.batch !== batch || each.startedMin === undefined))
      note({ by: 'without', batch, soonerMin: sooner({ ...kept, tasks: withoutBatch(kept.tasks, batch) }) });
  if (input.tasks.some(({ batch, daylight }) => batch === task.batch && daylight))
    note({
      by: 'any light',
      soonerMin: sooner({
        ...kept,
        tasks: kept.tasks.map((each) => (each.batch === task.batch ? { ...each, daylight: false } : each)),
      }),
    });
  return ok(found.sort((a, b) => b.soonerMin - a.soonerMin));
}

/** Without a batch; what came after it for a vessel of it comes at once. */
function withoutBatch(tasks: WeekInput['tasks'], batch: string): WeekInput['tasks'] {
  const rest = tasks.filter((task) => task.batch !== batch);
  const ids = new Set(rest.map(({ id }) => id));
  return rest.map((task) => ({ ...task, after: task.after.filter((each) => ids.has(each)) }));
}
