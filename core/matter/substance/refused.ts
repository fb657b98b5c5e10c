import { numberAt } from '#base/lookup';
import { namesRefused, refusedWords } from '#matter/data';
import { NameIndex } from './name-index.ts';
import { type Refused, refusedFormula } from './refused-formula.ts';
import { keyOf, spelt } from './spelling.ts';

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
  const named = BY_KEY.in(text).find(({ index, key }) => !SAID_TO_LACK.test(text.slice(index + key.length)));
  if (named) {
    const index = numberAt(from, named.index);
    const end = numberAt(to, named.index + named.key.length - 1);
    return { ...named.value, index, length: end - index };
  }
  const worded = wordIn(text);
  if (worded) {
    const { index, length, refused } = worded;
    const start = numberAt(from, index);
    return { ...refused, index: start, length: numberAt(to, index + length - 1) - start };
  }
  const [formula] = BY_FORMULA.in(typed);
  if (formula) return { ...formula.value, index: formula.index, length: formula.key.length };
  for (const match of typed.matchAll(FORMULA_WORD)) {
    const [word] = match;
    const refused = isWrittenFormula(word) ? refusedFormula(word) : undefined;
    if (refused) return { ...refused, index: match.index, length: word.length };
  }
  return undefined;
}

/** “Fluoride-free” says what is not in it. */
const SAID_TO_LACK = /^[ -]*(?:free|frei)(?!\p{L})/u;

const WORDS = refusedWords.map(({ word, name, category, why }) => ({
  // “Cyanide-free” says what is not in it.
  pattern: new RegExp(
    `(?<![\\p{L}\\p{N}])(?:${word})(?![\\p{L}\\p{N}])(?![ -]*(?:free|frei|test|removers?|indicator))`,
    'u',
  ),
  refused: { name, category, why },
}));

/** A word in any of the languages of labels, where one stands in a text of common spelling. Accents are left out, letter by letter. */
function wordIn(
  text: string,
): { readonly index: number; readonly length: number; readonly refused: Refused } | undefined {
  const plain = [...text].map(withoutAccent).join('');
  if (plain.length !== text.length) return undefined;
  for (const { pattern, refused } of WORDS) {
    const found = pattern.exec(plain);
    if (found) return { index: found.index, length: found[0].length, refused };
  }
  return undefined;
}

function withoutAccent(letter: string): string {
  return letter.normalize('NFD').charAt(0);
}

const FORMULA_WORD = /(?<![\p{L}\p{N}.])[A-Z([][A-Za-z0-9()[\].·₀-₉]{1,60}(?<![.·])(?![\p{L}\p{N}])/gu;

/** Two capitals may be an abbreviation (UV, PVC): a formula has a count in it or a symbol of two letters beside another. */
function isWrittenFormula(word: string): boolean {
  const symbols = new Set(word.match(/[A-Z][a-z]?/g));
  return symbols.size >= 2 && /[a-z0-9₀-₉]/.test(word);
}

/** What a thing is, by its formula and by its name, when it is among what is known and not planned. */
export function refusedThing({
  name,
  formula,
}: {
  readonly name: string;
  readonly formula: string;
}): Refused | undefined {
  const byFormula = refusedFormula(formula);
  if (byFormula) return byFormula;
  const named = refusedIn(name);
  return named && named.length >= name.trim().length ? named : undefined;
}

/** Names that are refused, by their key: what a slip of the pen may have meant. */
export function refusedNames(): Iterable<readonly [key: string, refused: Refused]> {
  return SLIPS;
}

/** A short name is one letter from too many others. */
const LEAST_LETTERS = 7;
const SLIPS = [...BY_KEY.keys()].flatMap((key) => {
  const refused = BY_KEY.get(key);
  return refused && key.length >= LEAST_LETTERS ? [[key, refused] as const] : [];
});

/** The one sentence that every door says of it. */
export function refusedSentence({ name, why }: Refused): string {
  const [first, then] = [name.charAt(0).toUpperCase() + name.slice(1), why.charAt(0).toLowerCase() + why.slice(1)];
  return `${first} is known and not planned here: ${then}.`;
}

/** Names that are never offered for a text: the harmless neighbours of what is refused. */
export function refusedNever(typed: string): readonly string[] {
  return BY_KEY.in(spelt(typed).text).flatMap(({ value }) => value.never);
}
