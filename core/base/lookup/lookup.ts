/** A look-up that found nothing where something must be: a mistake in the program or in a table, never in what a person entered. */
export class NothingThere extends Error {
  override readonly name = 'NothingThere';
}

type Numbers = ArrayLike<number>;
type Writable = number[] | Float64Array;

const notIn = (all: ArrayLike<unknown>, i: number): NothingThere =>
  new NothingThere(`There is no item ${i}: there are ${all.length}.`);

/** What was looked up; `what` names it where it is not there. */
export function must<T>(found: T | null | undefined, what: string): T {
  if (found === undefined || found === null) throw new NothingThere(`There is no ${what}.`);
  return found;
}

/** The item at a place of a list, or the character of a text. */
export function itemAt<T>(all: ArrayLike<T>, i: number): T {
  const found = all[i];
  if (found === undefined) throw notIn(all, i);
  return found;
}

/** The last item of a list. */
export const lastOf = <T>(all: ArrayLike<T>): T => itemAt(all, all.length - 1);

/** The number at a place of a list of numbers. A function of its own: the engine keeps it fast only where it meets no other lists. */
export function numberAt(all: Numbers, i: number): number {
  const found = all[i];
  if (found === undefined) throw notIn(all, i);
  return found;
}

/** The same of a typed array, for the same reason. */
export function doubleAt(all: Float64Array, i: number): number {
  const found = all[i];
  if (found === undefined) throw notIn(all, i);
  return found;
}

/** Adds to a number at a place of a list. */
export function increase(all: Writable, i: number, by: number): void {
  all[i] = numberAt(all, i) + by;
}

/** Takes from a number at a place of a list. */
export function decrease(all: Writable, i: number, by: number): void {
  all[i] = numberAt(all, i) - by;
}

/** What a record holds under a key. */
export function entryOf<T>(record: Readonly<Record<PropertyKey, T>>, key: PropertyKey): T {
  const found = record[key];
  if (found === undefined) throw new NothingThere(`There is no entry “${String(key)}”.`);
  return found;
}
