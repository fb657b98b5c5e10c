import { numberAt } from '#base/lookup';
import { namesRefused } from '#matter/data';
import { NameIndex } from './name-index.ts';
import { keyOf, spelt } from './spelling.ts';

/** A name that is known and not planned here, with the one reason. */
export interface Refused {
  readonly name: string;
  readonly why: string;
  /** What kind of danger it is: “energetic”, “too toxic”. */
  readonly category: string;
}

interface Entry extends Refused {
  readonly never: readonly string[];
}

/** Written with capitals or digits, a name is a formula or an abbreviation: “HI” is no greeting. */
const WRITTEN_SO = /^(?=.*[A-Z0-9])[A-Za-z0-9()]{2,12}$/;
/** What is refused for its strength is told by its strength, and not by its name. */
const BY_STRENGTH = /above|concentrated|\d ?%|\bvol\b|as a product|in bulk|stored/i;

/** By key, in any spelling; by formula, as it is written. */
const BY_KEY = new NameIndex<Entry>();
const BY_FORMULA = new NameIndex<Entry>();
for (const { name, also, why, never, category } of namesRefused)
  for (const each of [name, ...also]) {
    if (BY_STRENGTH.test(each) || each.length < 2) continue;
    if (WRITTEN_SO.test(each)) BY_FORMULA.set(each, { name, why, never, category });
    else BY_KEY.set(keyOf(each), { name: each, why, never, category });
  }
/** The refused name that stands in a text, where one does, with where it stands. */
export function refusedIn(typed: string): (Refused & { readonly index: number; readonly length: number }) | undefined {
  const { text, from, to } = spelt(typed);
  const [named] = BY_KEY.in(text);
  if (named) {
    const index = numberAt(from, named.index);
    const end = numberAt(to, named.index + named.key.length - 1);
    return { ...named.value, index, length: end - index };
  }
  const [formula] = BY_FORMULA.in(typed);
  return formula ? { ...formula.value, index: formula.index, length: formula.key.length } : undefined;
}

/** The one sentence that every door says of it. */
export function refusedSentence({ name, why }: Refused): string {
  return `${name} is known and not planned here: ${why.charAt(0).toLowerCase()}${why.slice(1)}.`;
}

/** Names that are never offered for a text: the harmless neighbours of what is refused. */
export function refusedNever(typed: string): readonly string[] {
  return BY_KEY.in(spelt(typed).text).flatMap(({ value }) => value.never);
}
