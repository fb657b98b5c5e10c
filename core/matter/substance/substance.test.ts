import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  allSubstances,
  findSubstance,
  formulaText,
  hydrateWater,
  molarMass,
  molarMassOfElements,
  nearestNames,
  parseFormula,
  substanceOf,
} from './index.ts';

describe('parseFormula', () => {
  it.each([
    ['CuSO4.5H2O', { Cu: 1, S: 1, O: 9, H: 10 }, 0, 5],
    ['CuSO4·5H2O', { Cu: 1, S: 1, O: 9, H: 10 }, 0, 5],
    ['KAl(SO4)2.12H2O', { K: 1, Al: 1, S: 2, O: 20, H: 24 }, 0, 12],
    ['Na₂CO₃·10H₂O', { Na: 2, C: 1, O: 13, H: 20 }, 0, 10],
    ['[Fe(CN)6]^4-', { Fe: 1, C: 6, N: 6 }, -4, 0],
    ['Fe3+', { Fe: 1 }, 3, 0],
    ['SO4--', { S: 1, O: 4 }, -2, 0],
    ['SO₄²⁻', { S: 1, O: 4 }, -2, 0],
    ['Ca(OH)2', { Ca: 1, O: 2, H: 2 }, 0, 0],
  ])('reads %s', (text, elements, charge, water) => {
    const result = parseFormula(text);
    expect(result.ok && result.value).toEqual({ elements, charge, water });
  });

  it.each(['', 'cuso4', 'Na(Cl', 'NaCl)', 'Xx2', 'Na0Cl', 'H2O..', '((', '5'])('refuses %s with a sentence', (text) => {
    const result = parseFormula(text);
    expect(result.ok).toBe(false);
    if (!result.ok) expect(result.problem.message.length).toBeGreaterThan(10);
  });

  it('never throws', () => {
    fc.assert(fc.property(fc.string(), (text) => void parseFormula(text)));
  });

  it('writes subscripts only where a count stands', () => expect(formulaText('Na2CO3.10H2O')).toBe('Na₂CO₃·10H₂O'));
});

describe('molar masses', () => {
  // CRC Handbook, 97th ed., physical constants of inorganic compounds.
  it.each([
    ['HCl', 36.461],
    ['H2SO4', 98.079],
    ['NaOH', 39.997],
    ['Na2CO3.10H2O', 286.142],
    ['ZnSO4.7H2O', 287.54],
    ['CuSO4.5H2O', 249.685],
    ['KAl(SO4)2.12H2O', 474.388],
    ['CH3COONa.3H2O', 136.079],
    ['Na2S2O3.5H2O', 248.184],
  ])('%s is %d g/mol', (formula, published) => expect(Math.abs(molarMass(formula) - published)).toBeLessThan(0.02));

  it('refuses an element without a standard weight', () => {
    const result = molarMassOfElements({ Tc: 1 });
    expect(result.ok ? '' : result.problem.code).toBe('no-atomic-weight');
  });

  it('is the sum of its parts', () => {
    expect(molarMass('ZnSO4.7H2O')).toBeCloseTo(molarMass('ZnSO4') + 7 * molarMass('H2O'), 9);
  });
});

describe('substances', () => {
  it('have formulas that can be read, and hydrates tied to their anhydrous substance', () => {
    for (const { id, formula, species } of allSubstances) {
      expect(parseFormula(formula).ok, id).toBe(true);
      if (species === id) continue;
      const dry = substanceOf(species);
      expect(molarMass(formula), id).toBeCloseTo(molarMass(dry.formula) + hydrateWater(formula) * molarMass('H2O'), 6);
    }
  });

  it('have no name twice, of what can stand on a shelf', () => {
    const shelved = allSubstances.filter(({ onShelf }) => onShelf);
    const names = shelved.flatMap(({ id, name, names }) =>
      [name, ...names].map((each) => `${each.toLowerCase()}|${id}`),
    );
    const owners = new Map<string, string>();
    for (const entry of names) {
      const [name = '', id = ''] = entry.split('|');
      expect(owners.get(name) ?? id, name).toBe(id);
      owners.set(name, id);
    }
  });

  it('are found by trade names and by near misses', () => {
    expect(findSubstance('Washing  Soda')?.formula).toBe('Na2CO3.10H2O');
    expect(findSubstance('spirits of salt')?.formula).toBe('HCl');
    expect(nearestNames('hydrocloric acid')).toContain('hydrochloric acid');
    expect(nearestNames('qqqqqqqq')).toEqual([]);
  });
});
