import type { ClassEntry } from '#matter/data';
import { substanceById } from '#matter/substance';
import { keepAwayOf } from './keep-away.ts';

/** The wider classes that each class counts as. */
const ALSO: Readonly<Record<string, readonly string[]>> = {
  acid_nitric: ['acid_strong'],
  sulfuric_conc: ['acid_strong'],
  formic_oxalic: ['acid_weak'],
  peroxide_strong: ['peroxide_dilute'],
  silver_mercury: ['transition_metal'],
  copper_salt: ['transition_metal'],
  quicklime: ['alkali_mild'],
};

const found = new Map<string, ReadonlySet<string>>();

/** Everything a substance counts as, at a strength in mass % where that matters; empty for what is not known here. */
export function classesOf(substanceId: string, pct: number): ReadonlySet<string> {
  const substance = substanceById(substanceId);
  if (!substance) return wider(keepAwayOf(substanceId)?.classes ?? []);
  const own = substance.classes.flatMap((each) => (typeof each === 'string' || pct >= each[1] ? [nameOf(each)] : []));
  return wider(own);
}

function wider(own: readonly string[]): ReadonlySet<string> {
  const key = own.join(' ');
  const known = found.get(key) ?? new Set([...own, ...own.flatMap((name) => ALSO[name] ?? [])]);
  found.set(key, known);
  return known;
}

function nameOf(entry: ClassEntry): string {
  return typeof entry === 'string' ? entry : entry[0];
}
