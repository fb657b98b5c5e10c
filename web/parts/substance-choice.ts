import { allSubstances, substanceById } from '#matter/substance';

/** Every substance to pick from, by name and formula; with it the one that is picked, where its owner has described it. */
export function substanceNamesForChoice(picked = ''): { value: string; label: string }[] {
  const own = substanceById(picked);
  const known = own?.described ? [own, ...allSubstances] : allSubstances;
  return known.map(({ id, name, formula }) => ({ value: id, label: `${name}, ${formula.replace('.', '·')}` }));
}
