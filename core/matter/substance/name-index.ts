import { numberAt } from '#base/lookup';
/** A name found in a text, where it stands. */
export interface Named<T> {
  readonly index: number;
  readonly key: string;
  readonly value: T;
}

const INSIDE = /[\p{L}\p{N}]/u;

/**
 * Names by their key, found inside texts in one pass: at each place where a word may begin, the longest name that ends where a
 * word may end. None overlaps another, and none is part of a longer word.
 */
export class NameIndex<T> {
  readonly #by = new Map<string, T>();
  #longest = 0;

  constructor(entries: Iterable<readonly [key: string, value: T]> = []) {
    for (const [key, value] of entries) this.set(key, value);
  }

  set(key: string, value: T): void {
    this.#by.set(key, value);
    this.#longest = Math.max(this.#longest, key.length);
  }

  get(key: string): T | undefined {
    return this.#by.get(key);
  }

  has(key: string): boolean {
    return this.#by.has(key);
  }

  keys(): Iterable<string> {
    return this.#by.keys();
  }

  /** The names in a text of common spelling, from left to right. */
  in(text: string): readonly Named<T>[] {
    const ends = [...Array(text.length + 1).keys()].filter((at) => at > 0 && !INSIDE.test(text[at] ?? ' '));
    const found: Named<T>[] = [];
    for (let at = 0; at < text.length; ) {
      const named = INSIDE.test(text[at - 1] ?? ' ') || text[at] === ' ' ? undefined : this.#longestAt(text, at, ends);
      if (named) found.push(named);
      at = named ? at + named.key.length : at + 1;
    }
    return found;
  }

  #longestAt(text: string, index: number, ends: readonly number[]): Named<T> | undefined {
    for (let i = ends.length - 1; i >= 0; i--) {
      const end = numberAt(ends, i);
      if (end - index > this.#longest) continue;
      if (end <= index) return undefined;
      const key = text.slice(index, end);
      const value = this.#by.get(key);
      if (value !== undefined) return { index, key, value };
    }
    return undefined;
  }
}
