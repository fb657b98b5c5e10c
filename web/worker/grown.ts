/** A list as it goes over to one who has the list before: what the two ends share is not sent again. */
export interface Grown<T> {
  /** How many at its beginning, and at its end, are those of the list before. */
  readonly head: number;
  readonly tail: number;
  readonly middle: readonly T[];
}

export function grownFrom<T>(
  before: readonly T[],
  after: readonly T[],
  same: (a: T, b: T) => boolean = Object.is,
): Grown<T> {
  const most = Math.min(before.length, after.length);
  let head = 0;
  while (head < most && same(before[head] as T, after[head] as T)) head++;
  let tail = 0;
  while (tail < most - head && same(before.at(-1 - tail) as T, after.at(-1 - tail) as T)) tail++;
  return { head, tail, middle: after.slice(head, after.length - tail) };
}

/** The list after, from the list before. */
export function grown<T>(before: readonly T[], { head, tail, middle }: Grown<T>): readonly T[] {
  return [...before.slice(0, head), ...middle, ...before.slice(before.length - tail)];
}
