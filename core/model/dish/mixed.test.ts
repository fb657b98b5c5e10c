import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { substanceById } from '#matter/substance';
import { dissolveMinutes, methods, saltBeside, saltOut, solubilityInEthanol } from './index.ts';

const of = (id: string) => substanceById(id)!;
const room = {
  areaCm2: 100,
  liquidC: 20,
  airC: 20,
  humidityPct: 50,
  pressureHPa: 1013,
  windMS: 0.1,
  waterActivity: 0.93,
};

describe('salt driven out by its own ion', () => {
  it('reads between the rows', () => {
    // Halfway in ln between 2 (29.9) and 3 mol/kg (26.9): 28.4. In acid between 3 (18.2) and 4 (13.3): 15.6.
    expect(unwrap(saltBeside('NaOH', 2.5)).gPer100gWater).toBeCloseTo(28.4, 1);
    expect(unwrap(saltBeside('HCl', 3.5)).gPer100gWater).toBeCloseTo(15.6, 1);
  });

  // Caustic evaporator liquors, 50 % NaOH holds about 1 % NaCl; concentrated hydrochloric acid about 0.1 to 5 %: engineering handbooks.
  it('leaves about one percent of salt in half-strength lye', () => {
    const { downG, staysG } = unwrap(saltOut('NaOH', { saltG: 20, waterG: 100, addedG: 100 }));
    expect((100 * staysG) / (100 + 100 + staysG)).toBeGreaterThan(0.8);
    expect((100 * staysG) / (100 + 100 + staysG)).toBeLessThan(1.3);
    expect(downG + staysG).toBeCloseTo(20, 9);
  });

  it('never brings more back the more is added, and keeps the salt', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('NaOH' as const, 'HCl' as const),
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (added, saltG, addedG, more) => {
          const a = unwrap(saltOut(added, { saltG, waterG: 100, addedG }));
          const b = unwrap(saltOut(added, { saltG, waterG: 100, addedG: addedG + more }));
          expect(a.downG + a.staysG).toBeCloseTo(saltG, 9);
          expect(b.downG).toBeGreaterThanOrEqual(a.downG - 1e-9);
        },
      ),
    );
  });

  it('refuses what is beyond the table', () => {
    expect(saltBeside('HCl', 12).ok).toBe(false);
    expect(saltBeside('NaOH', -1).ok).toBe(false);
    expect(saltOut('NaOH', { saltG: 1, waterG: 0, addedG: 1 }).ok).toBe(false);
  });
});

describe('ethanol as an antisolvent', () => {
  it('agrees with salt in 70 % ethanol, 3.9 g in 100 g of the solvent (Seidell), within a fifth', () => {
    const perSolvent = unwrap(solubilityInEthanol(of('sodium-chloride'), 70, 25)) * 0.3;
    expect(Math.abs(perSolvent / 3.9 - 1)).toBeLessThan(0.2);
  });

  it('is plain water without ethanol, and holds less with every drop', () => {
    expect(unwrap(solubilityInEthanol(of('potassium-nitrate'), 0, 20))).toBeCloseTo(31.6, 0);
    let last = Number.POSITIVE_INFINITY;
    for (let pct = 0; pct <= 88; pct += 4) {
      const s = unwrap(solubilityInEthanol(of('potassium-nitrate'), pct, 25));
      expect(s).toBeLessThan(last);
      last = s;
    }
  });

  it('stands beside the other methods where data exist, and nowhere else', () => {
    const names = (id: string) =>
      unwrap(methods(of(id), 50, { hotC: 60, coldC: 5, airC: 20 }, room)).map((each) => each.id);
    expect(names('potassium-nitrate')).toContain('antisolvent');
    expect(names('potassium-alum')).not.toContain('antisolvent');
    expect(solubilityInEthanol(of('potassium-alum'), 20, 20).ok).toBe(false);
    expect(solubilityInEthanol(of('potassium-nitrate'), 95, 20).ok).toBe(false);
    const ethanol = unwrap(methods(of('potassium-nitrate'), 50, { hotC: 60, coldC: 5, airC: 20 }, room)).at(-1)!;
    expect(ethanol.yieldPct).toBeGreaterThan(20);
    expect(ethanol.yieldPct).toBeLessThan(100);
  });
});

describe('dissolving', () => {
  const of = { grainMm: 1, gPerMl: 2, saturation: 0.25, filled: 0.9, tempC: 60 };

  it('takes longer for lumps, for cold, and the nearer it comes to saturation', () => {
    const [least, most] = dissolveMinutes(of)!;
    expect(least).toBeLessThan(most);
    expect(dissolveMinutes({ ...of, grainMm: 5 })![1]).toBeCloseTo(5 * most, 9);
    expect(dissolveMinutes({ ...of, tempC: 10 })![0]).toBeGreaterThan(least);
    expect(dissolveMinutes({ ...of, filled: 0.99 })![0]).toBeGreaterThan(1.5 * least);
    expect(dissolveMinutes({ ...of, filled: 0 })![0]).toBeLessThan(least);
  });

  it('never ends in a saturated liquor', () => {
    expect(dissolveMinutes({ ...of, filled: 1 })).toBeUndefined();
    expect(dissolveMinutes({ ...of, filled: 1.2 })).toBeUndefined();
    expect(dissolveMinutes({ ...of, saturation: 0 })).toBeUndefined();
  });

  it('agrees that kitchen salt, 0.3 mm, is gone within a minute of stirring', () => {
    const [least, most] = dissolveMinutes({ grainMm: 0.3, gPerMl: 2.16, saturation: 0.32, filled: 0.1, tempC: 20 })!;
    expect(least).toBeLessThan(1);
    expect(most).toBeLessThan(2);
  });
});
