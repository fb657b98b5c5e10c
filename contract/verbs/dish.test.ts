import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { times } from '#testing/property';
import { compute } from '../compute.ts';
import { verbs } from '../verbs.ts';

const dish = verbs.dish.run;
const wash = verbs.wash.run;

const input = {
  substanceId: 'potassium-nitrate',
  grams: 100,
  waterG: 80,
  hotC: 80,
  coldC: 10,
  boilAwayG: 0,
  crops: 1,
  impurityPct: 2,
  airC: 18,
  humidityPct: 60,
  pressureHPa: 1013,
  dishCm2: 200,
};

describe('the dish', () => {
  it('gives the crystals of a hand calculation, and more for every crop', () => {
    // s(10 °C) = 20.8: 100 − 0.208 × 80 = 83.4 g.
    const one = unwrap(dish(input));
    expect(one.crystalsG).toBeCloseTo(83.4, 0);
    expect(one.yieldPct).toBeCloseTo(83.4, 0);
    expect(one.path.states.map(({ label }) => label)).toEqual(['hot', 'cold']);
    const two = unwrap(dish({ ...input, crops: 2 }));
    expect(two.crystalsG).toBeGreaterThan(one.crystalsG + 5);
    expect(one.once).toContain('Once more');
    expect(unwrap(dish({ ...input, impurityPct: 0 })).once).toContain('only costs');
  });

  it('boils down before it is cooled, but not dry', () => {
    expect(unwrap(dish({ ...input, boilAwayG: 40 })).crystalsG).toBeGreaterThan(90);
    expect(dish({ ...input, boilAwayG: 80 })).toMatchObject({ ok: false, problem: { field: 'boilAwayG' } });
  });

  it.each([
    [{ substanceId: 'phlogiston' }, 'unknown-substance'],
    [{ coldC: 90 }, 'out-of-range'],
    [{ substanceId: 'zinc' }, 'no-solubility'],
  ])('refuses %j', (change, code) => {
    const answer = dish({ ...input, ...change });
    expect(answer.ok ? '' : answer.problem.code).toBe(code);
  });

  it('never yields more than there is, wherever its sliders stand', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('potassium-nitrate', 'potassium-alum', 'copper-sulfate-pentahydrate', 'boric-acid'),
        fc.integer({ min: 1, max: 500 }),
        fc.integer({ min: 1, max: 1000 }),
        fc.integer({ min: 30, max: 95 }),
        fc.integer({ min: 1, max: 29 }),
        fc.integer({ min: 1, max: 4 }),
        (substanceId, grams, waterG, hotC, coldC, crops) => {
          const answer = dish({ ...input, substanceId, grams, waterG, hotC, coldC, crops });
          if (!answer.ok) {
            expect(answer.problem.message).toMatch(/[.!]$/);
            return;
          }
          expect(answer.value.yieldPct).toBeGreaterThanOrEqual(0);
          expect(answer.value.yieldPct).toBeLessThanOrEqual(100.001);
        },
      ),
      { numRuns: times(150) },
    );
  });

  it.each([
    [{ grams: 0 }, 'grams'],
    [{ grams: -5 }, 'grams'],
    [{ waterG: 0 }, 'waterG'],
    [{ hotC: 900 }, 'hotC'],
    [{ crops: 1.5 }, 'crops'],
    [{ humidityPct: 120 }, 'humidityPct'],
  ])('is refused over the door for %j', (change, field) => {
    const answer = compute('dish', { ...input, ...change });
    expect(answer.ok ? '' : `${answer.problem.field} ${answer.problem.message}`).toContain(field);
  });
});

describe('washing', () => {
  const washing = {
    retainedMl: 20,
    portionMl: 50,
    goalPct: 2.5,
    productGPer100Ml: 0.1,
    readings: [],
    goalReading: null,
    quantity: 'conductivity' as const,
  };

  it('says how many portions, what they leave and what they cost', () => {
    const answer = unwrap(wash(washing));
    expect(answer).toMatchObject({ portions: 3, sentence: '' });
    expect(answer.leftPct).toBeCloseTo(2.33, 2);
    expect(answer.lostG).toBeCloseTo(0.15, 9);
    expect(answer.splits).toHaveLength(6);
  });

  it.each([
    [[4000], 'About 3 more, by what the cake holds'],
    [[40], 'Stop'],
    [[4000, 1000], 'About 2 more.'],
    [[4000, 1000, 250], 'One more.'],
    [[4000, 1000, 250, 60], 'Stop'],
    [[900, 900, 900], 'do not fall'],
  ])('after %j says %s', (values, said) => {
    const readings = values.map((value, i) => ({ portion: i + 1, value }));
    expect(unwrap(wash({ ...washing, readings, goalReading: 100 })).sentence).toContain(said);
  });

  it.each([
    [[2, 3], 'About 4 more.'],
    [[12, 11], 'About 4 more.'],
    [[4, 6.9], 'One more.'],
    [[4, 7], 'Stop'],
  ])('to neutral after pH %j says %s', (values, said) => {
    const readings = values.map((value, i) => ({ portion: i + 1, value }));
    expect(unwrap(wash({ ...washing, readings, goalReading: 7, quantity: 'pH' })).sentence).toContain(said);
  });
});
