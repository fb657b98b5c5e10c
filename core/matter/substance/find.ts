import { numberAt } from '#base/lookup';
import { namesAbroad } from '#matter/data';
import type { DescribedId } from './described.ts';
import { type Named, NameIndex } from './name-index.ts';
import { refusedNames, refusedNever } from './refused.ts';
import type { Refused } from './refused-formula.ts';
import { keyOf } from './spelling.ts';
import { allSubstances, type Substance, substanceById } from './substance.ts';

const BY_KEY = new NameIndex<Substance>();
/** Names as they are written, by their key. */
const WRITTEN = new Map<string, string>();
for (const each of allSubstances) {
  if (!each.onShelf) continue;
  for (const name of namesOf(each)) {
    const key = keyOf(name);
    if (!stands(BY_KEY.get(key), each, key)) continue;
    BY_KEY.set(key, each);
    WRITTEN.set(key, name);
  }
}

// A hydrate that nobody is dry beside, and that is alone in it, is meant by its name without the water too.
const bare = new Map<string, readonly Substance[]>();
for (const each of allSubstances) {
  const name = each.onShelf ? /^(.+) \p{L}*hydrate$/u.exec(each.name)?.[1] : undefined;
  if (name !== undefined) bare.set(name, [...(bare.get(name) ?? []), each]);
}
for (const [name, [only, ...others]] of bare) {
  const key = keyOf(name);
  if (!only || others.length > 0 || BY_KEY.has(key)) continue;
  BY_KEY.set(key, only);
  WRITTEN.set(key, name);
}

function namesOf(each: Substance): readonly string[] {
  const abroad: Readonly<Record<string, readonly string[]>> = namesAbroad;
  return [each.name, each.formula, each.formula.replace('.', '·'), ...each.names, ...(abroad[each.id] ?? [])];
}

/** Two spellings of one name may have been given to a salt and to its hydrate: its own name decides, else the hydrate is what is sold. */
function stands(before: Substance | undefined, now: Substance, key: string): boolean {
  if (!before || before.id === now.id) return true;
  if (keyOf(before.name) === key) return false;
  if (keyOf(now.name) === key) return true;
  return now.species !== now.id || before.species === before.id;
}

/** Lets a described substance be found by its name from now on; a name of the record stays what it is. */
export function learnName(id: DescribedId): void {
  const substance = substanceById(id);
  const key = substance && keyOf(substance.name);
  if (!substance || key === undefined || BY_KEY.get(key)?.described === null) return;
  BY_KEY.set(key, substance);
  WRITTEN.set(key, substance.name);
}

/** By name, synonym or formula, however it is spelt. */
export function findSubstance(name: string): Substance | undefined {
  return BY_KEY.get(keyOf(name));
}

/** The names that stand in a text of common spelling, longest first where they begin together. */
export function substancesIn(text: string): readonly Named<Substance>[] {
  return BY_KEY.in(text);
}

/** Letters by which a mistyped name may be off at most. */
const FURTHEST = 6;

/** The closest known names to a mistyped one, nearest first, `furthest` letters off at most. A name that is refused has no harmless twin. */
export function nearestNames(name: string, count = 3, furthest = FURTHEST): readonly string[] {
  const wanted = keyOf(name);
  const never = new Set(refusedNever(name).map(keyOf));
  const reach = Math.min(furthest, Math.max(2, Math.floor(wanted.length / 3)));
  return [...BY_KEY.keys()]
    .filter((known) => !never.has(known) && Math.abs(known.length - wanted.length) <= reach)
    .map((known) => ({ known, far: distance(wanted, known) }))
    .filter(({ far }) => far <= reach)
    .sort((a, b) => a.far - b.far)
    .slice(0, count)
    .map(({ known }) => WRITTEN.get(known) ?? known);
}

/** Letters of a name for each that may be wrong in it. */
const LETTERS_A_SLIP = 7;

/** Anions and groups with a name of their own, a letter or two from one that is refused. */
const OWN_NAMES = /(?:^|[ -])(?:iso)?cyan(?:ate|urate)s?$/;

/** What a name that nobody knows is a slip of, where that is known and not planned: nearer to it than to anything ordinary. */
export function refusedSlip(name: string): Refused | undefined {
  const wanted = keyOf(name);
  const reach = Math.floor(wanted.length / LETTERS_A_SLIP);
  if (reach === 0 || BY_KEY.has(wanted) || OWN_NAMES.test(wanted)) return undefined;
  let best: { readonly far: number; readonly refused: Refused } | undefined;
  for (const [key, refused] of refusedNames()) {
    if (Math.abs(key.length - wanted.length) > reach) continue;
    const far = distance(wanted, key);
    if (far <= reach && far < (best?.far ?? reach + 1)) best = { far, refused };
  }
  const near = best?.far ?? 0;
  if (
    !best ||
    [...BY_KEY.keys()].some((key) => Math.abs(key.length - wanted.length) <= near && distance(wanted, key) <= near)
  )
    return undefined;
  return best.refused;
}

/** Levenshtein distance, one row at a time. */
function distance(a: string, b: string): number {
  let row = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let j = 1; j <= b.length; j++) {
      const swap = numberAt(row, j - 1) + (a[i - 1] === b[j - 1] ? 0 : 1);
      next.push(Math.min(swap, numberAt(row, j) + 1, numberAt(next, j - 1) + 1));
    }
    row = next;
  }
  return numberAt(row, b.length);
}
