import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { solubility } from '#matter/data';
import { allSubstances, molarMass, substanceById } from '#matter/substance';
import { times } from '#testing/property';
import {
  boilHours,
  dishAt,
  dishEvaporation,
  dishHours,
  dishPath,
  dryShare,
  leastWater,
  methods,
  type OpenDish,
  recrystallisations,
  saltsDown,
  solubilityOf,
  solubilityRange,
  vapourPressure,
} from './index.ts';

const of = (id: string) => substanceById(id)!;
const s = (id: string, tempC: number) => unwrap(solubilityOf(of(id), tempC)).gPer100gWater;
const dish: OpenDish = {
  areaCm2: 100,
  liquidC: 20,
  airC: 20,
  humidityPct: 50,
  pressureHPa: 1013,
  windMS: 0.1,
  waterActivity: 1,
};

describe('the solubility table', () => {
  it('holds at least 45 solids, each under the name of a substance', () => {
    const held = new Set(
      allSubstances.filter((each) => solubilityRange(each) !== undefined).map(({ id }) => of(id).species),
    );
    expect(held.size).toBeGreaterThanOrEqual(45);
    expect(new Set(solubility.map(({ solute }) => solute)).size).toBeGreaterThanOrEqual(45);
  });

  // Seidell, Solubilities (1940) and International Critical Tables, at temperatures between the rows.
  it.each([
    ['potassium-chloride', 15, 32.7],
    ['sodium-nitrate', 15, 84],
    ['potassium-sulfate', 35, 13.9],
    ['copper-sulfate-pentahydrate', 35, 26.5],
    ['potassium-nitrate', 45, 74.5],
    ['ammonium-chloride', 45, 48],
    ['potassium-bromide', 15, 62.5],
  ])('reads %s at %d °C as %d within 3 %%', (id, tempC, published) =>
    expect(Math.abs(s(id, tempC) / published - 1)).toBeLessThan(0.03),
  );

  it('takes a hydrate for its substance', () => {
    expect(s('copper-sulfate-pentahydrate', 20)).toBe(s('copper-sulfate', 20));
    expect(s('potassium-alum', 20)).toBeGreaterThan(5);
  });
});

describe('a dish', () => {
  it('gives the crystals of a hand calculation, water of the hydrate counted', () => {
    // 100 g of CuSO4·5H2O (63.93 dry) in 100 g of water (136.07 in all) to 20 °C, s = 20.5: (63.93 − 27.89) ÷ 0.5652 = 63.8 g.
    const { crystalsG, phase } = unwrap(dishAt(of('copper-sulfate-pentahydrate'), 63.93, 136.07, 20));
    expect(phase).toBe('CuSO4.5H2O');
    expect(Math.abs(crystalsG / 63.8 - 1)).toBeLessThan(0.04);
    // 100 g KNO3 in 80 g water from 80 °C to 10 °C, s = 21.2: 83.0 g.
    expect(Math.abs(unwrap(dishAt(of('potassium-nitrate'), 100, 80, 10)).crystalsG / 83 - 1)).toBeLessThan(0.02);
  });

  it('keeps salt and water, and leaves a liquor at saturation or below', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(
          'potassium-alum',
          'copper-sulfate',
          'potassium-nitrate',
          'sodium-carbonate',
          'magnesium-sulfate',
        ),
        fc.double({ min: 0, max: 200, noNaN: true }),
        fc.double({ min: 1, max: 400, noNaN: true }),
        fc.integer({ min: 5, max: 60 }),
        (id, anhydrousG, waterG, tempC) => {
          const at = unwrap(dishAt(of(id), anhydrousG, waterG, tempC));
          const r = dryShare(at.phase);
          expect(at.dissolvedG + r * at.crystalsG).toBeCloseTo(anhydrousG, 6);
          expect(at.liquidWaterG + (1 - r) * at.crystalsG).toBeCloseTo(waterG, 6);
          expect(Math.min(at.dissolvedG, at.liquidWaterG, at.crystalsG)).toBeGreaterThanOrEqual(-1e-9);
          if (at.crystalsG > 0 && at.liquidWaterG > 1e-6)
            expect((100 * at.dissolvedG) / at.liquidWaterG).toBeCloseTo(at.saturation, 3);
        },
      ),
    );
  });

  it('runs through its stages, a second crop from what the first left', () => {
    const path = unwrap(
      dishPath(of('potassium-nitrate'), { anhydrousG: 100, waterG: 80 }, [
        { label: 'hot', tempC: 80, awayG: 0, collect: false },
        { label: 'cold', tempC: 10, awayG: 0, collect: true },
        { label: 'boiled down', tempC: 80, awayG: 40, collect: false },
        { label: 'second crop', tempC: 10, awayG: 0, collect: true },
      ]),
    );
    expect(path.states[0]!.crystalsG).toBe(0);
    expect(path.states[3]!.crystalsG).toBeGreaterThan(5);
    expect(path.states[3]!.crystalsG).toBeLessThan(path.states[1]!.crystalsG);
    expect(path.curve).toHaveLength(200);
    expect(
      dishPath(of('potassium-nitrate'), { anhydrousG: 1, waterG: 10 }, [
        { label: 'x', tempC: 20, awayG: 20, collect: false },
      ]).ok,
    ).toBe(false);
    expect(dishAt(of('potassium-nitrate'), -1, 10, 20).ok).toBe(false);
  });

  it('dissolves in the least water, and no more', () => {
    const water = unwrap(leastWater(of('potassium-alum'), 100, 60));
    const r = dryShare('KAl(SO4)2.12H2O');
    expect(unwrap(dishAt(of('potassium-alum'), 100 * r, water + 100 * (1 - r), 60)).crystalsG).toBeCloseTo(0, 6);
    expect(unwrap(dishAt(of('potassium-alum'), 100 * r, 0.97 * water + 100 * (1 - r), 60)).crystalsG).toBeGreaterThan(
      0,
    );
  });
});

describe('methods and passes', () => {
  it('cooling is fast, evaporation purest, all of them under 100 %', () => {
    const list = unwrap(methods(of('potassium-alum'), 100, { hotC: 80, coldC: 5, airC: 18 }, dish));
    expect(list.map(({ id }) => id)).toEqual(['cooling', 'slow evaporation', 'gentle boil-down']);
    const [cooling, slow, boiled] = list;
    expect(cooling!.yieldPct).toBeGreaterThan(80);
    expect(boiled!.yieldPct).toBeGreaterThan(cooling!.yieldPct);
    expect(slow!.hours[1]).toBeGreaterThan(cooling!.hours[1]);
    for (const each of list) expect(each.yieldPct).toBeLessThanOrEqual(100.0001);
    expect(methods(of('potassium-alum'), 0, { hotC: 80, coldC: 5, airC: 18 }, dish).ok).toBe(false);
  });

  it('each recrystallisation is purer and less', () => {
    const passes = unwrap(
      recrystallisations(of('potassium-nitrate'), { grams: 100, impurityPct: 3 }, { hotC: 80, coldC: 10 }, 3),
    );
    for (let i = 1; i < passes.length; i++) {
      expect(passes[i]!.impurityPct).toBeLessThan(passes[i - 1]!.impurityPct);
      expect(passes[i]!.gramsLeft).toBeLessThan(passes[i - 1]!.gramsLeft);
    }
  });
});

describe('evaporation', () => {
  it('follows the steam tables and Carrier', () => {
    // 23.39 hPa at 20 °C, 123.5 at 50 °C (IAPWS).
    expect(vapourPressure(20)).toBeCloseTo(23.39, 0);
    expect(vapourPressure(50) / 123.5).toBeCloseTo(1, 2);
    // 26.9 × 0.01 m² × (0.01467 − 0.00725) = 2.0 g/h.
    expect(dishEvaporation(dish)).toBeCloseTo(2, 1);
    expect(dishHours(48, dish)!).toBeCloseTo(24, 0);
    expect(dishHours(48, { ...dish, humidityPct: 100 })).toBeUndefined();
    expect(dishEvaporation({ ...dish, waterActivity: 0.3 })).toBeLessThan(0);
    // 100 g at 2570 J/g with 250 W to the liquid: 0.29 h.
    expect(boilHours(100, 500, 0.5)).toBeCloseTo(0.286, 2);
  });
});

describe('a reciprocal salt pair', () => {
  const pair = (waterG: number) => ({
    salts: [of('sodium-chloride'), of('sodium-nitrate'), of('potassium-chloride'), of('potassium-nitrate')] as const,
    ions: [1, 1, 1, 1] as const,
    waterG,
  });

  it('drops common salt hot and saltpetre cold', () => {
    const hot = unwrap(saltsDown(pair(100), 99));
    expect(hot[0]!.mol).toBeGreaterThan(0.25);
    expect(hot[3]!.mol).toBeLessThan(0.05);
    const left = [1 - hot[0]!.mol, 1, 1 - hot[0]!.mol, 1] as const;
    const cold = unwrap(saltsDown({ ...pair(100), ions: left }, 10));
    expect(cold[3]!.mol).toBeGreaterThan(0.6);
    expect(cold[3]!.grams).toBeCloseTo(cold[3]!.mol * molarMass('KNO3'), 6);
    expect(cold[0]!.mol).toBeLessThan(0.2);
  });

  it('never takes down more of an ion than there is, and holds every salt at or below saturation', () => {
    const amount = fc.double({ min: 0, max: 3, noNaN: true });
    fc.assert(
      fc.property(amount, amount, amount, fc.integer({ min: 5, max: 95 }), (a, x, waterKg, tempC) => {
        const b = 2;
        const y = Math.max(0, a + b - x);
        const ions = [a, b, Math.min(x, a + b), y] as const;
        const down = unwrap(saltsDown({ ...pair(100 + 300 * waterKg), ions }, tempC));
        const left = [ions[0] - down[0]!.mol - down[1]!.mol, ions[1] - down[2]!.mol - down[3]!.mol];
        for (const each of [...left, ...down.map(({ mol }) => mol)]) expect(each).toBeGreaterThanOrEqual(-1e-6);
      }),
      { numRuns: times(60) },
    );
    expect(saltsDown({ ...pair(100), ions: [1, 1, 1, 2] }, 20).ok).toBe(false);
  });
});

describe('the solid that is stable', () => {
  // Transition temperatures in contact with the saturated solution: CRC Handbook, Linke-Seidell, Lange.
  it.each([
    ['sodium-sulfate', 'Na2SO4.10H2O', 'Na2SO4', 32.4],
    ['sodium-carbonate', 'Na2CO3.10H2O', 'Na2CO3.7H2O', 32],
    ['sodium-carbonate', 'Na2CO3.7H2O', 'Na2CO3.H2O', 35.4],
    ['magnesium-sulfate', 'MgSO4.11H2O', 'MgSO4.7H2O', 1.8],
    ['magnesium-sulfate', 'MgSO4.7H2O', 'MgSO4.6H2O', 48.2],
    ['magnesium-sulfate', 'MgSO4.6H2O', 'MgSO4.H2O', 68],
    ['copper-sulfate', 'CuSO4.5H2O', 'CuSO4.3H2O', 95.9],
    ['zinc-sulfate', 'ZnSO4.7H2O', 'ZnSO4.6H2O', 39],
    ['iron-sulfate', 'FeSO4.7H2O', 'FeSO4.4H2O', 56.7],
    ['iron-sulfate', 'FeSO4.4H2O', 'FeSO4.H2O', 64],
    ['calcium-chloride', 'CaCl2.6H2O', 'CaCl2.4H2O', 29.8],
    ['sodium-thiosulfate', 'Na2S2O3.5H2O', 'Na2S2O3.2H2O', 48.2],
    ['sodium-acetate', 'CH3COONa.3H2O', 'CH3COONa', 58],
    ['sodium-hydroxide', 'NaOH.4H2O', 'NaOH.H2O', 12.3],
    ['potassium-hydroxide', 'KOH.2H2O', 'KOH.H2O', 33],
    ['borax', 'Na2B4O7.10H2O', 'Na2B4O7.5H2O', 60.7],
    ['citric-acid', 'C6H8O7.H2O', 'C6H8O7', 36.6],
  ])('of %s changes from %s to %s at %d °C', (id, from, to, tempC) => {
    const phase = (at: number) => unwrap(solubilityOf(of(id), at)).phase;
    expect(phase(tempC - 0.8)).toBe(from);
    expect(phase(tempC + 0.8)).toBe(to);
  });

  it('hands over without a step: the curve runs on', () => {
    for (const each of allSubstances) {
      const range = solubilityRange(each);
      // Its hexahydrate melts in its own water at 37 °C: from there the curve is another's.
      if (!range || each.species === 'iron-chloride') continue;
      for (let t = range[0]; t + 0.1 <= range[1]; t += 0.1) {
        const step = Math.abs(Math.log(s(each.id, t + 0.1) / s(each.id, t)));
        expect(step, `${each.id} at ${t.toFixed(1)} °C`).toBeLessThan(0.06);
      }
    }
  });
});
