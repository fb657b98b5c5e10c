import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { BenchDefaults } from '#matter/gear';
import { parseLabel } from '#matter/label';
import { ownFrom } from '#run/own';
import { sheetOf } from '#run/sheet';
import { amountsIn, degreesIn } from './amounts.ts';
import { readRecipe, recipeDraft } from './index.ts';

const read = (text: string) => unwrap(readRecipe(text));
const takes = (text: string, name: string) => {
  const found = read(text).ingredients.find(({ substance }) => substance.name.includes(name));
  if (!found) throw new Error(`no ${name}`);
  return found;
};

describe('an amount of a recipe', () => {
  it.each([
    ['2 tbsp of salt', 30, 'mL'],
    ['half a cup', 120, 'mL'],
    ['1 1/2 teaspoons', 7.5, 'mL'],
    ['½ oz', 14.17, 'g'],
    ['2,5 g', 2.5, 'g'],
    ['1.5 kg', 1500, 'g'],
    ['3 lb', 1360.8, 'g'],
    ['4 fl oz', 118.3, 'mL'],
    ['20-30 mL', 25, 'mL'],
    ['10 to 20 g', 15, 'g'],
    ['60 grains', 3.888, 'g'],
    ['12 drops', 0.6, 'mL'],
    ['two parts', 2, 'part'],
  ])('%s is %d %s', (text, value, unit) => {
    const [found] = amountsIn(text);
    expect(found?.unit).toBe(unit);
    expect(found?.value).toBeCloseTo(value, 1);
  });

  it('is no number where nothing counts: a little, and words that only look like units', () => {
    expect(amountsIn('a little water')[0]?.value).toBeNull();
    expect(amountsIn('3 glasses, 5 minutes, 2nd crop, 4 grand')).toEqual([]);
  });

  it('reads degrees of both scales', () => {
    expect(degreesIn('at 212 °F, then 60 °C, then 350 degrees F')).toEqual([100, 60, 177]);
  });
});

describe('a recipe', () => {
  const ALUM =
    'Ferric alum: dissolve 2 oz green copperas in 4 fl oz water, add 500 mL of 9% hydrogen peroxide, then 14 g ammonium sulfate. Boil down, cool overnight. Yields 300 g of ammonium iron(III) sulfate.';

  it('with three planted faults has all three found', () => {
    const { odd, missing, theoryG } = read(ALUM);
    expect(missing.join(' ')).toContain('Sulfuric acid is missing');
    expect(odd.join(' ')).toMatch(/Hydrogen peroxide: 1\d times .* tenfold slip/);
    // 56.7 g × 0.98 ÷ 278.01 = 0.200 mol of iron(II); two of iron to one of sulfate and half a peroxide: 482.2 g/mol.
    expect(theoryG).toBeCloseTo((14 / 132.14) * 482.2, -1);
    expect(odd.join(' ')).toContain('It promises 300 g');
  });

  it('finds the limiting reagent and the excess of the other, worked by hand', () => {
    const text =
      'Basic copper carbonate. Dissolve 50 g of copper sulphate in a cup of hot water. Add 80 g washing soda crystals in 300 mL of water. Filter, wash, dry in air. Gives 20 g of copper carbonate.';
    const { theoryG, odd, equation } = read(text);
    expect(equation).toBe('2 CuSO₄ + 2 Na₂CO₃ + H₂O → Cu₂CO₃(OH)₂ + CO₂ + 2 Na₂SO₄');
    // 50 × 0.99 ÷ 249.68 = 0.198 mol; half of it × 221.11 = 21.9 g; the soda is 80 ÷ 286.14 = 0.280 mol, 1.41 times.
    expect(theoryG).toBeCloseTo(21.9, 0);
    expect(takes(text, 'sodium carbonate').times).toBeCloseTo(1.41, 1);
    expect(takes(text, 'copper').limits).toBe(true);
    expect(odd).toEqual([]);
  });

  it.each([
    [
      'pour 100 mL water into 50 mL of 37 % sulfuric acid, add 20 g zinc. Gives 60 g of zinc sulfate.',
      'Dangerous order',
    ],
    [
      'Copper carbonate: 50 g copper sulfate, 60 g washing soda, 30 mL water. Filter, dry at 480 °F.',
      'dried at 249 °C',
    ],
    ['Magnesium carbonate: 200 g Epsom salt, 250 g washing soda, 10 mL water. Filter.', ''],
    ['Zinc sulfate: 200 mL sulfuric acid 37 %, 6 g zinc. Gives 100 g of zinc sulfate.', 'It promises 100 g'],
    ['Mix 20 mL hydrochloric acid 28% and 100 mL bleach 5 %', 'Dangerous together'],
    [
      'Potassium nitrate. 100 g sodium nitrate, 88 g potassium chloride, 20 mL water. Cool, filter, dry.',
      'Water is short',
    ],
  ])('%s', (text, says) => {
    expect(read(text).odd.join(' ')).toContain(says);
  });

  it('keeps the unit of a sentence together, and reads a purifying with its names before the amounts', () => {
    const text = 'Epsom salts 120 g; water 100 ml. Heat to 212 °F, filter, cool to 40 °F. Makes Epsom salt 60 g.';
    const { purifies, theoryG, odd, missing } = read(text);
    expect(purifies).toBe(true);
    expect(theoryG).toBeCloseTo(120, -1);
    expect([...odd, ...missing].join(' ')).not.toContain('equation');
    const pound = read(
      'Verdigris base: take 1 lb. of copper sulfate and 1 lb. of washing soda crystals in 2 gal. of water. Makes copper carbonate.',
    );
    expect(pound.ingredients.map(({ substance }) => substance.name).join(' ')).toMatch(/copper.*carbonate/);
    expect(
      takes('Copper carbonate: take 1 lb. of copper sulfate, 1 lb. of washing soda crystals.', 'copper').grams,
    ).toBeCloseTo(453.6, 0);
  });

  it('says what is not said: how much, how strong, how it is dried', () => {
    const { missing } = read('Sodium acetate: a little baking soda into 1 L acetic acid. Boil down, cool.');
    expect(missing.join(' ')).toContain('How much sodium hydrogencarbonate?');
    expect(missing.join(' ')).toContain('How it is dried');
  });

  it.each([
    ['', 'missing-part'],
    ['stir the moonbeams', 'unknown-substance'],
    ['How to make nitroglycerin: 10 g glycerol', 'beyond-scope'],
    ['x'.repeat(9000), 'too-large'],
  ])('is refused with a reason: %s', (text, code) => {
    const answer = readRecipe(text);
    expect(answer.ok ? '' : answer.problem.code).toBe(code);
  });

  it('never throws, and every number in it is a number', () => {
    const words = fc.constantFrom(
      '2 oz',
      'a little',
      '1/0 g',
      '0 g',
      '-5 g',
      '1e9 kg',
      'zinc',
      'sulfuric acid 37 %',
      'water',
      'gives',
      ':',
      '.',
      '\n',
      'copper sulfate',
      'dry at 999 °F',
      '½',
      'parts',
      '250 %',
    );
    fc.assert(
      fc.property(fc.array(words, { maxLength: 14 }), (parts) => {
        const answer = readRecipe(parts.join(' '));
        if (!answer.ok) return;
        for (const { grams, mol, times } of answer.value.ingredients)
          for (const each of [grams, mol, times]) expect(each === null || Number.isFinite(each)).toBe(true);
        for (const each of [...answer.value.odd, ...answer.value.missing])
          expect(each).not.toMatch(/NaN|undefined|Infinity/);
      }),
    );
  });

  it('becomes a batch from one’s own bottles, for as much as one wants', () => {
    const shelf = ['copper sulfate pentahydrate 99 % 500 g', 'washing soda crystals 100 % 1 kg'].map((label, i) => ({
      id: `bottle_${i}`,
      card: parseLabel(label, '2026-01-01', 20).card!,
      usedG: 0,
      archived: false,
    }));
    const text = 'Copper carbonate. 50 g copper sulfate, 80 g washing soda crystals, 1 L water. Filter, wash, dry.';
    const draft = recipeDraft(read(text), shelf, 10)!;
    expect(draft).toMatchObject({ bottles: ['bottle_0', 'bottle_1'], lacking: [] });
    const { plan } = ownFrom({
      ...draft,
      formula: '',
      gPer100gWater: null,
      mine: null,
      shelf,
      bench: BenchDefaults,
      today: '2026-01-01',
    });
    const sheet = unwrap(sheetOf(plan!));
    const [copper, soda] = ['copper-sulfate-pentahydrate', 'sodium-carbonate-decahydrate'].map(
      (id) => sheet.additions.find(({ role }) => role === id)!.dose.mass.value,
    );
    // The proportions of the recipe, for 10 g.
    expect(soda! / copper!).toBeCloseTo(80 / 50, 1);
    expect(sheet.product!.value).toBeCloseTo(10, 0);
  });
});
