import type { Placed } from './in-order.ts';
import type { Task } from './task.ts';

const EXACT_MIN = 1e-6;

/** A step that begins later behind what goes before it than it may. */
export interface Gap {
  readonly id: string;
  /** What it should have followed. */
  readonly by: string;
  /** Minutes over what it may wait. */
  readonly min: number;
}

export function gapsOf(placed: readonly Placed[], tasks: ReadonlyMap<string, Task>): readonly Gap[] {
  const prompt = placed.filter(({ id }) => tasks.get(id)?.withinMin !== undefined);
  if (prompt.length === 0) return [];
  const over = new Map(placed.map((each) => [each.id, each.over[1]]));
  return prompt.flatMap(({ id, from }) => {
    const { withinMin, after = [], startedMin } = tasks.get(id) ?? {};
    if (withinMin === undefined || startedMin !== undefined) return [];
    const [last] = after.filter((each) => over.has(each)).sort((a, b) => (over.get(b) ?? 0) - (over.get(a) ?? 0));
    const min = last === undefined ? 0 : from - (over.get(last) ?? from) - withinMin;
    return last !== undefined && min > EXACT_MIN ? [{ id, by: last, min }] : [];
  });
}
