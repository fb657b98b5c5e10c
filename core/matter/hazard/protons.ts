import { type SubstanceId, substanceOf } from '#matter/substance';

/** H+ that counts up to about pH 8, where an acid has one more that comes later. */
const TO_NEUTRAL: Readonly<Record<string, number>> = { 'phosphoric-acid': 2, 'ascorbic-acid': 1, 'boric-acid': 0 };

/** mol of H+ that a mol of an acid gives, of such classes; 0 of what is none. */
export function acidOf(id: SubstanceId, classes: ReadonlySet<string>): number {
  if (!['acid_strong', 'acid_weak', 'formic_oxalic'].some((each) => classes.has(each))) return 0;
  const fixed = TO_NEUTRAL[substanceOf(id).species];
  if (fixed !== undefined) return fixed;
  const { ions, acidBase } = substanceOf(id);
  const given = (ions ?? []).reduce((sum, [ion, count]) => sum + (ion === 'H+' || ion === 'HSO4-' ? count : 0), 0);
  return given > 0 ? given : (acidBase?.protons ?? 1);
}

/** H+ that a base takes up until it is about neutral: of a carbonate both. */
const TAKES: Readonly<Record<string, number>> = {
  'OH-': 1,
  'CO3 2-': 2,
  'HCO3-': 1,
  'SiO3 2-': 2,
  'PO4 3-': 2,
  'O2-': 2,
  'B4O7 2-': 2,
};

/** mol of H+ that a mol of a base takes up; 0 of what is none. */
export function baseOf(id: SubstanceId, classes: ReadonlySet<string>): number {
  if (id === 'ammonia' || id === 'ammonia-gas') return 1;
  const bases = ['alkali_strong', 'alkali_mild', 'strong_base_salt', 'carbonate'];
  if (!bases.some((each) => classes.has(each))) return 0;
  const { ions, formula } = substanceOf(id);
  const taken = (ions ?? []).reduce((sum, [ion, count]) => sum + count * (TAKES[ion] ?? 0), 0);
  return taken > 0 || !/^(?:Ca|Mg)O$/.test(formula) ? taken : 2;
}
