import { describe, expect, it } from 'vitest';
import { allSubstances, findSubstance } from './index.ts';
import { keyOf } from './spelling.ts';

/** The other ways in which people write a name. */
function spellings(name: string): readonly string[] {
  return [
    name,
    name.toUpperCase(),
    name.replaceAll('sulf', 'sulph'),
    name.replaceAll('aluminium', 'aluminum'),
    name.replaceAll(' ', '-'),
    name.replaceAll(' ', '  '),
    name.replace('(II)', ' II'),
    name.replace('(II)', '(2)'),
    name.replace('(III)', ' (III)'),
    name.replace('hydrogencarbonate', 'hydrogen carbonate'),
    name.replace('hydrogencarbonate', 'bicarbonate'),
    name.replace('iron(II)', 'ferrous').replace('copper(II)', 'cupric').replace('tin(II)', 'stannous'),
  ];
}

describe('a name', () => {
  const shelved = allSubstances.filter(({ onShelf }) => onShelf);

  it.each(shelved.map((each) => [each.name, each] as const))('%s is the same however it is spelt', (name, each) => {
    for (const spelt of spellings(name)) {
      expect(keyOf(spelt), spelt).toBe(keyOf(name));
      expect(findSubstance(spelt)?.species, spelt).toBe(each.species);
    }
  });
});
