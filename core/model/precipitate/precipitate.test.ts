import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { sparing } from '#matter/data';
import { molarMass } from '#matter/substance';
import { logGamma } from './completeness.ts';
import {
  completeness,
  filterMinutes,
  grainNamed,
  grainOf,
  papers,
  pureSolubility,
  saltByName,
  settlingHours,
  stokesMmPerS,
  throughCake,
} from './index.ts';

const salt = (formula: string) => saltByName(formula)!;

describe('a solubility product', () => {
  // Measured solubilities in water at 25 °C, mg/L: CRC and Seidell. Those of weak acids and of ion pairs dissolve more than this says.
  it.each([
    ['AgCl', 1.9, 0.05],
    ['BaSO4', 2.46, 0.06],
    ['CaC2O4.H2O', 7.3, 0.1],
    ['SrSO4', 135, 0.15],
    ['AgBr', 0.14, 0.05],
    ['KIO4', 5100, 0.12],
    ['PbSO4', 44, 0.35],
  ])('of %s dissolves about %d mg in a litre of water', (formula, mgPerL, within) => {
    const solid = salt(formula);
    const mg = 1000 * pureSolubility(solid) * molarMass(solid.formula);
    expect(Math.abs(mg / mgPerL - 1)).toBeLessThan(within);
  });

  it('is met by what is left, whatever was mixed, and nothing is made or lost', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...sparing),
        fc.double({ min: 1e-6, max: 2, noNaN: true }),
        fc.double({ min: 1e-6, max: 2, noNaN: true }),
        fc.double({ min: 0.05, max: 5, noNaN: true }),
        (solid, cationMol, anionMol, litres) => {
          const at = unwrap(completeness(solid, { cationMol, anionMol, litres }));
          expect(at.cationLeft * litres + solid.cation.n * at.mol).toBeCloseTo(cationMol, 9);
          expect(at.anionLeft * litres + solid.anion.n * at.mol).toBeCloseTo(anionMol, 9);
          expect(at.pct).toBeGreaterThanOrEqual(0);
          expect(at.pct).toBeLessThanOrEqual(100);
          if (at.mol === 0) expect(at.saturation).toBeLessThanOrEqual(1 + 1e-9);
          // What is left, mixed again beside the same salts, is just saturated.
          const [c, a] = [at.cationLeft, at.anionLeft];
          const own = (z: number, conc: number) => 0.5 * (z ** 2 + Math.abs(z)) * conc;
          const beside = at.ionicStrength - own(solid.cation.z, c) - own(solid.anion.z, a);
          if (at.mol > 0 && Math.min(c, a) > 1e-9 && beside >= 0)
            expect(
              unwrap(completeness(solid, { cationMol: c, anionMol: a, litres: 1 }, beside)).saturation,
            ).toBeCloseTo(1, 3);
        },
      ),
    );
  });

  it('lets more of the common ion leave less of the other', () => {
    const left = (anionMol: number) =>
      unwrap(completeness(salt('BaSO4'), { cationMol: 0.01, anionMol, litres: 1 })).cationLeft;
    expect(left(0.02)).toBeLessThan(left(0.0101) / 5);
    expect(left(0.011)).toBeLessThan(left(0.01));
  });

  it('lets other salts keep more in solution', () => {
    const left = (beside: number) =>
      unwrap(completeness(salt('BaSO4'), { cationMol: 0.001, anionMol: 0.001, litres: 1 }, beside)).cationLeft;
    expect(left(0.3)).toBeGreaterThan(2 * left(0));
  });

  it('brings nothing down from a thin solution, and refuses no volume', () => {
    expect(unwrap(completeness(salt('CaSO4'), { cationMol: 0.001, anionMol: 0.001, litres: 1 }))).toMatchObject({
      mol: 0,
      pct: 0,
    });
    expect(completeness(salt('AgCl'), { cationMol: 1, anionMol: 1, litres: 0 }).ok).toBe(false);
    expect(completeness(salt('AgCl'), { cationMol: -1, anionMol: 1, litres: 1 }).ok).toBe(false);
    expect(unwrap(completeness(salt('AgCl'), { cationMol: 0, anionMol: 1, litres: 1 })).pct).toBe(0);
    expect(saltByName('gunpowder')).toBeUndefined();
  });
});

describe('activity', () => {
  // Davies' equation as tabulated in Stumm and Morgan, Aquatic Chemistry: γ at ionic strengths of 0.01, 0.1 and 0.5 mol/L.
  it.each([
    [1, 0.01, 0.902],
    [1, 0.1, 0.781],
    [1, 0.5, 0.73],
    [2, 0.1, 0.372],
    [3, 0.01, 0.395],
  ])('of a charge of %d at %d mol/L is %d', (z, ionicStrength, gamma) =>
    expect(Math.abs(Math.exp(logGamma(z, ionicStrength)) / gamma - 1)).toBeLessThan(0.015),
  );
});

describe('settling', () => {
  it('agrees with the pipette method: 2 µm quartz sinks 100 mm in 7 h 44 min at 20 °C (ISO 11277)', () => {
    const hours = 100 / stokesMmPerS(2, 2.65, 20) / 3600;
    expect(Math.abs(hours / 7.73 - 1)).toBeLessThan(0.01);
  });

  it('is slower when thick, cold or fine, and faster never', () => {
    const powder = grainNamed('powder');
    const fine = grainNamed('fine');
    const [least, most] = settlingHours(powder, 80, 0.05, 20);
    expect(least).toBeLessThan(most);
    expect(settlingHours(powder, 80, 0.2, 20)[1]).toBeGreaterThan(most);
    expect(settlingHours(powder, 80, 0.05, 60)[1]).toBeLessThan(most);
    expect(settlingHours(fine, 80, 0.05, 20)[1]).toBeGreaterThan(most);
  });
});

describe('filtering', () => {
  // Calcium carbonate slurry, Geankoplis, Transport Processes, example 14.2-1: run at 338 kPa, 0.0439 m², 25 °C.
  it.each([
    [0.498e-3, 4.4],
    [2.0e-3, 24.6],
    [3.506e-3, 59.0],
    [5.009e-3, 107.3],
  ])('of %d m³ takes %d s', (filtrateM3, seconds) => {
    const found = throughCake({
      filtrateM3,
      areaM2: 0.0439,
      pressurePa: 338_000,
      viscosity: 8.937e-4,
      alpha: 1.863e11,
      kgPerM3: 23.47,
      medium: 10.63e10,
    });
    expect(Math.abs(found / seconds - 1)).toBeLessThan(0.12);
  });

  it('of water alone takes what the paper is rated at', () => {
    const [medium] = papers.filter(({ id }) => id === 'medium');
    const [least] = filterMinutes(medium!, grainOf('potassium-alum'), {
      filtrateMl: 100,
      solidG: 0,
      areaCm2: 100,
      tempC: 20,
    });
    expect(60 * least).toBeCloseTo(60, 0);
  });

  it('takes four times as long for twice the slurry once the cake rules, and a wider paper helps by its square', () => {
    const [fast] = papers.filter(({ id }) => id === 'fast');
    const jelly = grainNamed('jelly');
    const at = (times: number, areaCm2: number) =>
      filterMinutes(fast!, jelly, { filtrateMl: 200 * times, solidG: 20 * times, areaCm2, tempC: 20 })[1];
    expect(at(2, 100) / at(1, 100)).toBeCloseTo(4, 1);
    expect(at(1, 100) / at(1, 200)).toBeCloseTo(4, 1);
    expect(filterMinutes(fast!, jelly, { filtrateMl: 0, solidG: 20, areaCm2: 100, tempC: 20 })).toEqual([0, 0]);
  });
});
