import { allSubstances, type Substance } from './substance.ts';

const BY_NAME = new Map<string, Substance>();
/** Names as they are written, by their tidied form. */
const WRITTEN = new Map<string, string>();
for (const each of allSubstances) {
  if (!each.onShelf) continue;
  for (const name of [each.name, each.formula, each.formula.replace('.', '·'), ...each.names]) {
    BY_NAME.set(tidy(name), each);
    WRITTEN.set(tidy(name), name);
  }
}

/** By name, synonym or formula, whatever the case and spacing. */
export function findSubstance(name: string): Substance | undefined {
  return BY_NAME.get(tidy(name));
}

/** Every name known, tidied, longest first: for finding names inside a label. */
export function substanceNames(): readonly string[] {
  return [...BY_NAME.keys()].sort((a, b) => b.length - a.length);
}

/** The closest known names to a mistyped one, nearest first. */
export function nearestNames(name: string, count = 3): readonly string[] {
  const wanted = tidy(name);
  const reach = Math.max(2, Math.floor(wanted.length / 3));
  return [...BY_NAME.keys()]
    .map((known) => ({ known, far: distance(wanted, known) }))
    .filter(({ far }) => far <= reach)
    .sort((a, b) => a.far - b.far)
    .slice(0, count)
    .map(({ known }) => WRITTEN.get(known) ?? known);
}

function tidy(name: string): string {
  return name.trim().toLowerCase().replace(/[·•∙]/g, '.').replace(/\s+/g, ' ');
}

/** Levenshtein distance, one row at a time. */
function distance(a: string, b: string): number {
  let row = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let j = 1; j <= b.length; j++) {
      const swap = row[j - 1]! + (a[i - 1] === b[j - 1] ? 0 : 1);
      next.push(Math.min(swap, row[j]! + 1, next[j - 1]! + 1));
    }
    row = next;
  }
  return row[b.length]!;
}
