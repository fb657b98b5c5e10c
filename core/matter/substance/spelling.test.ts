import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { allSubstances, findSubstance } from './index.ts';
import { keyOf, spelt } from './spelling.ts';

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

describe('a key', () => {
  const words = fc.array(
    fc.constantFrom('ferrous', ' iron (3+)', 'sulphate', '-', '₂', 'İ', 'glass', ' bi', 'carbonates', 'iv', '(', ' '),
    { maxLength: 6 },
  );

  it('is what a text reads as letter by letter', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          words.map((all) => all.join('')),
          fc.string({ unit: 'grapheme' }),
        ),
        (text) => {
          expect(keyOf(text)).toBe(spelt(text.trim()).text);
        },
      ),
      { numRuns: 500 },
    );
  });
});
