import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { integralHeat } from '#matter/solution';
import { substanceOf } from '#matter/substance';
import { type AbsorbInput, absorb, dripOf, heatIntoWater, heldByWater } from './index.ts';

const into = (more: Partial<AbsorbInput> = {}): AbsorbInput => ({
  gas: 'hydrogen-chloride',
  mol: 0.5,
  waterG: 100,
  alkali: null,
  acidAlong: 0,
  startC: 20,
  ceilingC: 30,
  litresPerMin: null,
  bathW: null,
  reagent: null,
  ...more,
});
const answer = (input: AbsorbInput) => {
  const found = absorb(input);
  if (!found.ok) throw new Error(found.problem.message);
  return found.value;
};
const message = (input: AbsorbInput) => {
  const found = absorb(input);
  return found.ok ? '' : found.problem.message;
};

describe('hydrogen chloride into water', () => {
  it('half a mol in 100 g: by hand 15.4 %, 35 kJ, to about 100 °C if left', () => {
    // 18.23 g in 118.23 g; 70 kJ/mol; 35 kJ over 0.44 kJ/K.
    const found = answer(into());
    expect(found.strengthPct).toBeCloseTo(15.42, 2);
    expect(found.heatKJ).toBeCloseTo(35, 0);
    expect(found.endsC).toBeGreaterThan(95);
    expect(found.gasL).toBeCloseTo(12.03, 2);
    expect(found.escapes).toBe(0);
    // 35 − 4.4 kJ kept in the liquid, over 0.3337 + 0.0836 kJ a g.
    expect(found.iceG).toBeCloseTo((35 - 4.4) / 0.4173, -1);
  });

  it('agrees with the heats of solution measured another way', () => {
    for (const pct of [5, 10, 20, 30, 36]) {
      const perMol = (100 - pct) / 18.015 / (pct / 36.46);
      const other = -integralHeat(substanceOf('hydrochloric-acid'), perMol)!.kJPerMol;
      expect(Math.abs(heatIntoWater('hydrogen-chloride', pct)! - other)).toBeLessThan(1.5);
    }
  });

  it('holds no more than the table, and the rest is said to escape', () => {
    const found = answer(into({ mol: 2, waterG: 80, ceilingC: 25 }));
    expect(found.taken).toBeCloseTo((0.697 * 80) / 36.46, 2);
    expect(found.taken + found.escapes).toBeCloseTo(2, 9);
    expect(found.mostPct).toBeCloseTo(41.1, 1);
  });

  it('what water holds falls with warmth, and beyond the table is not made up', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('hydrogen-chloride', 'ammonia-gas', 'sulfur-dioxide'),
        fc.integer({ min: 0, max: 59 }),
        (gas, t) => {
          const [a, b] = [heldByWater(gas, t), heldByWater(gas, t + 1)];
          if (a !== null && b !== null) expect(b).toBeLessThan(a);
        },
      ),
    );
    expect(heldByWater('hydrogen-chloride', 61)).toBeNull();
    expect(message(into({ ceilingC: 80 }))).toMatch(/not held/);
  });
});

describe('ammonia into water', () => {
  it('25 % of it is about 33 g for 100 g of water, 32 kJ a mol', () => {
    const found = answer(into({ gas: 'ammonia-gas', mol: 1.957, ceilingC: 20 }));
    expect(found.strengthPct).toBeCloseTo(25, 1);
    expect(found.heatKJ / found.taken).toBeCloseTo(32.4, 1);
  });
});

describe('a gas into lye', () => {
  const lye = (grams: number) => ({ substanceId: 'sodium-hydroxide' as const, grams });
  const chlorine = into({ gas: 'chlorine', mol: 0.05, waterG: 40, alkali: lye(4), startC: 5, ceilingC: 25 });

  it('chlorine: the place to stop lies before the alkali is spent, and acid along brings it nearer', () => {
    const found = answer(chlorine);
    // 0.1 mol of hydroxide take 0.05 mol; nine tenths of it is 0.045 mol, 3.19 g.
    expect(found.stop![0].mol).toBeCloseTo(0.045, 4);
    expect(found.stop![0].gainedG).toBeCloseTo(3.19, 2);
    expect(found.stop![1].gainedG).toBeGreaterThan(found.stop![0].gainedG);
    expect(found.stop![1].pH).toBeLessThan(found.stop![0].pH);
    const along = answer({ ...chlorine, acidAlong: 0.02 });
    expect(along.stop![0].mol).toBeCloseTo(0.035, 4);
    // With plenty of alkali there is nothing to stop for.
    expect(answer({ ...chlorine, alkali: lye(10) })).toMatchObject({
      stop: null,
      alkaliLeftPct: expect.closeTo(60, 0),
    });
    expect(message({ ...chlorine, acidAlong: 0.3 })).toMatch(/uses up all of the alkali/);
    expect(found.heatKJ).toBeCloseTo(5.0, 1);
  });

  it('over its cap, or into water, chlorine is not computed; ammonia into lye neither', () => {
    expect(message({ ...chlorine, mol: 0.2 })).toMatch(/at most 0.1 mol/);
    expect(message({ ...chlorine, alkali: null })).toMatch(/cold lye only, outdoors/);
    expect(message(into({ gas: 'ammonia-gas', alkali: lye(5) }))).toMatch(/Lye takes no/);
  });

  it('a ceiling under the start is told', () => {
    expect(message(into({ startC: 28, ceilingC: 10 }))).toMatch(/over the ceiling/);
  });
});

describe('the pace', () => {
  it('and its drops go by hand: 0.1 mol in 24 min from 2 mol/L, 2 for one', () => {
    const found = answer(
      into({ mol: 0.1, litresPerMin: 0.1, bathW: 50, reagent: { molPerL: 2, perGas: 2, dropsPerMl: 20 } }),
    );
    expect(found.minutes).toBeCloseTo(24.06, 1);
    expect(found.drip!.ml).toBeCloseTo(100, 6);
    expect(found.drip!.dropsPerMin).toBeCloseTo(83.1, 0);
    expect(dripOf(0.1, 10, { molPerL: 2, perGas: 2, dropsPerMl: 20 }).mlPerMin).toBeCloseTo(10, 9);
    // 7 kJ in 24 min is 5 W; 50 W of bath stand ten times the pace.
    expect(found.watts).toBeCloseTo(5, 0);
    expect(found.bathLPerMin).toBeCloseTo(1, 0);
  });
});

describe('any of it', () => {
  it('keeps its moles and never ends colder than it began', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('hydrogen-chloride', 'ammonia-gas', 'carbon-dioxide', 'sulfur-dioxide'),
        fc.double({ min: 1e-4, max: 50, noNaN: true }),
        fc.double({ min: 0.1, max: 5000, noNaN: true }),
        (gas, mol, waterG) => {
          const found = absorb(into({ gas, mol, waterG }));
          if (!found.ok) return;
          const { taken, escapes, endsC, strengthPct, iceG } = found.value;
          expect(taken + escapes).toBeCloseTo(mol, 9);
          expect(endsC).toBeGreaterThanOrEqual(20);
          expect(strengthPct).toBeLessThan(60);
          expect(iceG).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });
});
