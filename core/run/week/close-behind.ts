import { type Book, hold, release } from './book.ts';
import { type Hours, type Spot, soonest } from './soonest.ts';
import { type Task, wholeMin } from './task.ts';

/** So often a step is begun later, for what must come close behind it, before the two are placed apart. */
const TRIES = 60;
const EXACT_MIN = 1e-6;

/** Steps that must come close behind another, by that other’s id. */
export type Prompt = ReadonlyMap<string, readonly Task[]>;

export function promptIn(tasks: readonly Task[]): Prompt {
  const prompt = new Map<string, Task[]>();
  for (const task of tasks)
    if (task.withinMin !== undefined)
      for (const id of task.after) {
        const known = prompt.get(id);
        if (known) known.push(task);
        else prompt.set(id, [task]);
      }
  return prompt;
}

/** A step, and those still to be placed that must come close behind it, each behind the one before it. */
export function closeBehind(first: Task, prompt: Prompt, book: Book): readonly Task[] {
  const all = [first];
  for (let last: Task | undefined = first; last; ) {
    const { id }: Task = last;
    last = prompt
      .get(id)
      ?.find((task) => !book.over.has(task.id) && task.after.every((each) => each === id || book.over.has(each)));
    if (last) all.push(last);
  }
  return all;
}

/**
 * The first moments at which a step can stand and what must come close behind it can follow in time; null where the week holds no
 * such place. The book is as before.
 */
export function soonestTogether(book: Book, [task, ...rest]: readonly Task[], hours: Hours): readonly Spot[] | null {
  if (!task) return [];
  let tried = task;
  for (let i = 0; i < TRIES; i += 1) {
    const spot = soonest(book, tried, hours);
    const [next] = rest;
    if (!spot || !next) return spot && [spot];
    hold(book, task, { from: spot.from, really: undefined });
    const behind = soonestTogether(book, rest, hours);
    release(book, task);
    const [first] = behind ?? [];
    if (!behind || !first) return null;
    const over = spot.from + wholeMin(task);
    const lacking = first.from - over - (next.withinMin ?? Number.POSITIVE_INFINITY);
    if (lacking <= EXACT_MIN) {
      return [tried !== task ? { ...spot, because: 'what follows', by: next.id, gear: null } : spot, ...behind];
    }
    tried = { ...task, notBeforeMin: spot.from + lacking };
  }
  return null;
}
