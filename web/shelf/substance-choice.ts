import { allSubstances } from '#core/substance';

/** Every substance to pick from, by name and formula. */
export function substanceNamesForChoice(): { value: string; label: string }[] {
  return allSubstances.map(({ id, name, formula }) => ({ value: id, label: `${name}, ${formula.replace('.', '·')}` }));
}
