import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { given, sdOf } from '#base/figure';
import { unwrap } from '#base/problem';
import { uncertain } from '#base/units';
import { densityTables } from '#matter/data';
import { allSubstances, substanceById } from '#matter/substance';
import { times } from '#testing/property';
import {
  density,
  heatOfDilution,
  integralHeat,
  massFraction,
  massFractionFigure,
  strengthsOf,
  waterDensityAt,
} from './index.ts';

const of = (id: string) => substanceById(id)!;
const gPerMl = (id: string, pct: number, tempC: number) => unwrap(density(of(id), pct, tempC)).gPerMl;

describe('density', () => {
  // Published at 15 °C, none of it in the tables: Lunge and Marchlewski (HCl), Lunge, Isler and Naef (H2SO4), Lunge and Wiernik (NH3).
  it.each([
    ['hydrochloric-acid', 10.17, 1.05],
    ['hydrochloric-acid', 20.01, 1.1],
    ['hydrochloric-acid', 29.57, 1.15],
    ['sulfuric-acid', 14.35, 1.1],
    ['sulfuric-acid', 27.32, 1.2],
    ['sulfuric-acid', 39.19, 1.3],
    ['sulfuric-acid', 50.11, 1.4],
    ['sulfuric-acid', 59.7, 1.5],
    ['ammonia', 9.91, 0.96],
  ])('of %s at %d %% and 15 °C is %d', (id, pct, published) => {
    expect(Math.abs(gPerMl(id, pct, 15) / published - 1)).toBeLessThan(0.002);
  });

  it('gives back every row of every table', () => {
    const named = allSubstances.flatMap((each) => each.density ?? []);
    for (const id of named)
      expect(
        densityTables.map((table) => table.id),
        id,
      ).toContain(id);
    for (const table of densityTables) {
      const substance = allSubstances.find((each) => each.density === table.id);
      expect(substance, `a substance for the table ${table.id}`).toBeDefined();
      if (!substance) continue;
      for (const { tempC, points, grade } of table.series) {
        if (grade === 'C') continue;
        for (const [pct, rho] of points)
          expect(gPerMl(substance.id, pct, tempC), `${table.id} ${pct} ${tempC}`).toBeCloseTo(rho, 6);
      }
    }
  });

  it('of water follows Kell between rows', () => {
    // Kell 1975 at 22.5 and 16 °C.
    expect(waterDensityAt(22.5)).toBeCloseTo(0.99766, 4);
    expect(waterDensityAt(16)).toBeCloseTo(0.99894, 4);
  });

  it('says when it extrapolates and refuses far outside', () => {
    expect(unwrap(density(of('zinc-sulfate'), 20, 60)).grade).toBe('C');
    expect(density(of('hydrochloric-acid'), 60, 20).ok).toBe(false);
    expect(density(of('hydrochloric-acid'), 20, 300).ok).toBe(false);
    expect(density(of('boric-acid'), 12, 20).ok).toBe(false);
    // CRC: boric acid 2 % 1.0055 g/mL at 20 °C; so dilute an estimate serves, and says so.
    expect(unwrap(density(of('boric-acid'), 2, 20))).toMatchObject({ grade: 'C' });
    expect(Math.abs(unwrap(density(of('boric-acid'), 2, 20)).gPerMl - 1.0055)).toBeLessThan(0.01);
  });
});

describe('strength', () => {
  it('28 % hydrochloric acid at 20 °C is about 8.75 mol/L', () => {
    const w = given({ symbol: 'w', name: 'w', unit: '%' }, 28, 'label');
    const amount = strengthsOf(w, of('hydrochloric-acid'), 20, true).find((each) => each.unit === 'mol/L')!;
    expect(amount.value).toBeCloseTo(8.75, 2);
  });

  it.each([
    // CRC Handbook, concentrative properties, 20 °C: mol/L of 10 % NaOH 2.772, 20 % H2SO4 2.324, 10 % CH3COOH 1.688.
    ['sodium-hydroxide', 10, 2.772],
    ['sulfuric-acid', 20, 2.324],
    ['acetic-acid', 10, 1.688],
  ])('%s of %d %% is %d mol/L', (id, pct, published) => {
    const c = massFraction({ value: published, unit: 'mol/L' }, of(id), 20);
    expect(Math.abs(unwrap(c) / pct - 1)).toBeLessThan(0.005);
  });

  it('90 % by volume ethanol is 85.7 % by mass (OIML)', () => {
    expect(unwrap(massFraction({ value: 90, unit: 'v/v' }, of('ethanol'), 20))).toBeCloseTo(85.66, 1);
  });

  it('66 °Bé is the sulfuric acid of commerce, 93.2 %', () => {
    expect(Math.abs(unwrap(massFraction({ value: 66, unit: 'Bé' }, of('sulfuric-acid'), 20)) - 93.19)).toBeLessThan(
      0.5,
    );
  });

  it('30 volumes of peroxide are about 8.8 to 9.1 %', () => {
    const pct = unwrap(massFraction({ value: 30, unit: 'vol' }, of('hydrogen-peroxide'), 20));
    expect(pct).toBeGreaterThan(8.7);
    expect(pct).toBeLessThan(9.2);
  });

  it('comes back from mol/L, g/L and mol/kg to where it was', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('hydrochloric-acid', 'sulfuric-acid', 'sodium-hydroxide', 'ammonia', 'acetic-acid'),
        fc.double({ min: 0.5, max: 28, noNaN: true }),
        fc.integer({ min: 5, max: 30 }),
        fc.constantFrom('mol/L', 'g/L', 'mol/kg'),
        (id, pct, tempC, unit) => {
          const w = given({ symbol: 'w', name: 'w', unit: '%' }, pct, 'label');
          const there = strengthsOf(w, of(id), tempC, true).find((each) => each.unit === unit)!;
          const back = unwrap(massFraction({ value: there.value, unit: unit as 'mol/L' }, of(id), tempC));
          expect(Math.abs(back - pct)).toBeLessThan(1e-6 * 100);
        },
      ),
      { numRuns: times(150) },
    );
  });

  it.each([
    [140, 'w/w', 'hydrochloric-acid'],
    [45, 'w/w', 'hydrochloric-acid'],
    [-1, 'w/w', 'hydrochloric-acid'],
    [40, 'mol/L', 'hydrochloric-acid'],
    [30, 'vol', 'hydrochloric-acid'],
    [Number.NaN, 'w/w', 'hydrochloric-acid'],
    [5, 'mol/L', 'boric-acid'],
  ] as const)('refuses %d %s of %s with a sentence', (value, unit, id) => {
    const result = massFraction({ value, unit }, of(id), 20);
    expect(result.ok ? '' : result.problem.message).toMatch(/\.$/);
  });

  it('says when one density fits two strengths', () => {
    const result = massFraction({ value: 1.8361, unit: 'SG' }, of('sulfuric-acid'), 20);
    expect(result.ok ? '' : result.problem.message).toContain('two strengths');
  });

  it('carries a label’s uncertainty through the solving', () => {
    const label = given(
      { symbol: 'c', name: 'c', unit: 'mol/L' },
      uncertain(2, 0.02, { id: 'l', name: 'label' }),
      'label',
    );
    const w = unwrap(massFractionFigure(label, 'mol/L', of('hydrochloric-acid'), 20));
    expect(sdOf(w) / w.value).toBeCloseTo(0.01, 3);
  });
});

describe('heat', () => {
  it('follows the tabulated integral heats between rows', () => {
    expect(integralHeat(of('hydrochloric-acid'), 10)?.kJPerMol).toBeCloseTo(-69.49, 6);
    expect(integralHeat(of('acetic-acid'), 10)).toBeUndefined();
  });

  it('of diluting 96 % sulfuric acid to 10 % is about 70 kJ/mol', () => {
    // Perry, enthalpy-concentration chart: 66 to 72 kJ per mole.
    const heat = heatOfDilution(of('sulfuric-acid'), 96, 10)!;
    expect(heat.kJPerMol).toBeGreaterThan(62);
    expect(heat.kJPerMol).toBeLessThan(72);
  });
});
