import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { times } from '#testing/property';
import { type Described, describedOf } from './described.ts';
import {
  checkedDescription,
  describedId,
  findSubstance,
  isSubstanceId,
  learnName,
  molarMass,
  substanceById,
} from './index.ts';

const SORBATE: Described = {
  name: 'larkspur salt',
  formula: 'C6H7KO2',
  form: 'solid',
  gPerMl: null,
  gPer100gWater: 58.2,
  meltsC: 270,
  hazards: 'irritates eyes',
};

describe('a described substance', () => {
  it('is all that its id says, there and back', () => {
    fc.assert(
      fc.property(
        fc.record({
          name: fc.stringMatching(/^[a-z]{2}[a-z ]{0,20}[a-z]$/).filter((name) => !/ {2}/.test(name)),
          formula: fc.constantFrom('C6H7KO2', 'Na2S2O3.5H2O', 'KAl(SO4)2', 'Nd2Fe14B'),
          form: fc.constantFrom('solid' as const, 'liquid' as const, 'dissolved' as const, 'metal' as const),
          gPerMl: fc.option(fc.double({ min: 0.3, max: 20, noNaN: true })),
          gPer100gWater: fc.option(fc.double({ min: 0, max: 900, noNaN: true })),
          meltsC: fc.option(fc.integer({ min: -200, max: 3000 })),
          hazards: fc.constantFrom('', 'burns skin'),
        }),
        (said) => {
          const id = describedId(said);
          expect(describedOf(id)).toEqual({ ok: true, value: said });
          expect(isSubstanceId(id)).toBe(true);
          expect(substanceById(id)).toMatchObject({ name: said.name, formula: said.formula, species: id });
        },
      ),
      { numRuns: times(100) },
    );
  });

  it('weighs what its formula says: 6 C, 7 H, K, 2 O', () => {
    expect(molarMass(substanceById(describedId(SORBATE))!.formula)).toBeCloseTo(150.22, 2);
  });

  it('is found by its name once it is learnt, and never in place of what the record holds', () => {
    expect(findSubstance('larkspur salt')).toBeUndefined();
    learnName(describedId(SORBATE));
    expect(findSubstance('Larkspur-Salts')?.formula).toBe('C6H7KO2');
    learnName(describedId({ ...SORBATE, name: 'zinc' }));
    expect(findSubstance('zinc')?.formula).toBe('Zn');
  });

  it.each([
    [{ name: 'x' }, 'name'],
    [{ name: 'a|b' }, 'name'],
    [{ formula: 'Qz2' }, 'formula'],
    [{ formula: '' }, 'formula'],
    [{ formula: 'SO4^2-' }, 'formula'],
    [{ formula: 'Tc2O7' }, 'formula'],
    [{ gPerMl: -1 }, 'gPerMl'],
    [{ gPerMl: Number.NaN }, 'gPerMl'],
    [{ gPer100gWater: 1e9 }, 'gPer100gWater'],
    [{ meltsC: -400 }, 'meltsC'],
    [{ hazards: 'x'.repeat(101) }, 'hazards'],
  ] as const)('%o cannot be, and its field is named', (part, field) => {
    const checked = checkedDescription({ ...SORBATE, ...part });
    expect(checked).toMatchObject({ ok: false, problem: { field } });
    expect(checked.ok ? '' : checked.problem.message).toMatch(/[.”]$/);
  });

  it('knows no id that says what cannot be', () => {
    for (const id of ['own:', 'own:a', 'own:a b|Qz|solid||||', 'own:salt|NaCl|plasma||||'])
      expect(substanceById(id)).toBeUndefined();
  });
});
