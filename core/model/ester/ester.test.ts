import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { molarMass, type SubstanceId, substanceOf } from '#matter/substance';
import { asPair, type EsterInput, ester, formedAtEnd, hoursTo, usualCatalyst } from './index.ts';

const grams = (id: SubstanceId, mol: number, pct = 100) => ({
  substanceId: id,
  grams: (mol * molarMass(substanceOf(id).formula) * 100) / pct,
  pct,
});
const plan = (
  acid: EsterInput['acid'],
  alcohol: EsterInput['alcohol'],
  more: Partial<EsterInput> = {},
): EsterInput => ({
  acid,
  alcohol,
  catalyst: null,
  tempC: 75,
  hours: null,
  waterOffG: 0,
  ...more,
});
const answer = (input: EsterInput) => {
  const found = ester(input);
  if (!found.ok) throw new Error(found.problem.message);
  return found.value;
};
const sulfuric = (mol: number) => grams('sulfuric-acid', mol, 96);

describe('the end of an esterification', () => {
  it.each([
    [1, 66.7],
    [2, 84.5],
    [3, 90.3],
  ])('with K = 4 and %d of the one to 1 of the other is %d %%', (ratio, pct) => {
    const found = answer(plan(grams('acetic-acid', ratio), grams('ethanol', 1), { tempC: 25 }));
    expect(found.conversion.value).toBeCloseTo(pct, 1);
    expect(found.limiting).toBe(ratio === 1 ? 'acid' : 'alcohol');
  });

  it('of vinegar with ethanol is next to nothing, for the water in it', () => {
    const found = answer(plan(grams('acetic-acid', 1, 5), grams('ethanol', 1), { tempC: 25 }));
    expect(found.conversion.value).toBeLessThan(8);
  });

  it('moves on as water is led off, to all of it', () => {
    const dry = answer(plan(grams('acetic-acid', 1), grams('isoamyl-alcohol', 1), { tempC: 115, waterOffG: 17 }));
    expect(dry.conversion.value).toBeGreaterThan(88);
    expect(dry.driestPct).toBeGreaterThan(dry.conversion.value);
  });

  it('keeps every mole, and never passes what there is', () => {
    const mol = fc.double({ min: 0, max: 50, noNaN: true });
    fc.assert(
      fc.property(
        mol,
        mol,
        mol,
        mol,
        mol,
        fc.double({ min: 0.5, max: 10, noNaN: true }),
        (acid, alcohol, water, there, taken, K) => {
          const x = formedAtEnd({ acid, alcohol, water, ester: there, taken }, K);
          expect(x).toBeLessThanOrEqual(Math.min(acid, alcohol) + 1e-9);
          expect(there + x).toBeGreaterThanOrEqual(-1e-9);
          expect(water + x).toBeGreaterThanOrEqual(-1e-9);
        },
      ),
    );
  });

  it('grows with either excess and falls with water', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 5, noNaN: true }),
        fc.double({ min: 0.01, max: 3, noNaN: true }),
        (n, more) => {
          const at = (acid: number, alcohol: number, water: number) =>
            formedAtEnd({ acid, alcohol, water, ester: 0, taken: 0 }, 3.4);
          expect(at(n + more, n, 0)).toBeGreaterThan(at(n, n, 0));
          expect(at(n, n + more, 0)).toBeGreaterThan(at(n, n, 0));
          expect(at(n, n, more)).toBeLessThan(at(n, n, 0));
        },
      ),
    );
  });
});

// Times of practice: none of them went into the rate law, which stands on the hydrolysis of ethyl acetate in water.
describe('how long it takes', () => {
  it.each([
    ['acetic-acid', 'ethanol', 2, 75, 100, [1, 3]],
    ['acetic-acid', 'ethanol', 2, 20, 100, [40, 200]],
    ['acetic-acid', 'isoamyl-alcohol', 2, 115, 100, [0.5, 1.5]],
    ['formic-acid', 'ethanol', 1, 55, 85, [0.3, 1.5]],
    ['formic-acid', 'isoamyl-alcohol', 1, 55, 85, [0.7, 3]],
    ['formic-acid', 'ethanol', 0, 55, 85, [3, 12]],
    ['formic-acid', 'isoamyl-alcohol', 0, 55, 85, [6, 30]],
  ] as const)(
    '%s with %s, %d mol%% of sulfuric acid at %d °C',
    (acid, alcohol, pct, tempC, strength, [least, most]) => {
      const { hours } = answer(
        plan(grams(acid, 1, strength), grams(alcohol, 1), { tempC, catalyst: pct > 0 ? sulfuric(pct / 100) : null }),
      );
      expect(hours![1]).toBeGreaterThan(least * 0.95);
      expect(hours![1]).toBeLessThan(most);
    },
  );

  it('half way without a catalyst takes acetic acid and ethanol days at 75 °C', () => {
    const { course } = answer(plan(grams('acetic-acid', 1), grams('ethanol', 1)));
    expect(hoursTo(course, 1 / 3)).toBeGreaterThan(60);
    expect(hoursTo(course, 1 / 3)).toBeLessThan(400);
  });

  it('salicylic acid in ten times the methanol comes to 45 to 75 % in five hours of reflux', () => {
    const { after } = answer(
      plan(grams('salicylic-acid', 0.1), grams('methanol', 1), { tempC: 66, hours: 5, catalyst: sulfuric(0.015) }),
    );
    expect(after!.conversionPct).toBeGreaterThan(45);
    expect(after!.conversionPct).toBeLessThan(75);
  });

  it('is not known of salicylic acid alone: said, and no number', () => {
    const found = answer(plan(grams('salicylic-acid', 0.1), grams('ethanol', 1)));
    expect(found.hours).toBeNull();
    expect(found.after).toBeNull();
    expect(found.why).toMatch(/not known/);
  });

  it('falls as it gets warmer or as more catalyst goes in', () => {
    const to = (tempC: number, mol: number) =>
      answer(plan(grams('acetic-acid', 1), grams('ethanol', 1), { tempC, catalyst: sulfuric(mol) })).hours![1];
    expect(to(70, 0.02)).toBeLessThan(to(60, 0.02));
    expect(to(70, 0.04)).toBeLessThan(to(70, 0.02));
    expect(usualCatalyst('salicylic-acid', 1)).toBeGreaterThan(usualCatalyst('acetic-acid', 1));
  });
});

describe('what it costs', () => {
  it('is base and gas for the acid that is left, sulfuric acid twice', () => {
    // 1 mol acetic + 1 ethanol: a third of the acid is left; with 0.02 mol of sulfuric acid, 0.3733 mol: 31.4 g, 9 L.
    const found = answer(plan(grams('acetic-acid', 1), grams('ethanol', 1), { tempC: 25, catalyst: sulfuric(0.02) }));
    expect(found.bicarbonateG).toBeCloseTo(84.007 * (1 - found.conversion.value / 100 + 0.04), 6);
    expect(found.gasL).toBeGreaterThan(8);
    expect(found.excess.filter(({ more }) => more === 'alcohol').map(({ bicarbonateG }) => bicarbonateG)).toEqual(
      found.excess
        .filter(({ more }) => more === 'alcohol')
        .map(({ bicarbonateG }) => bicarbonateG)
        .toSorted((a, b) => b - a),
    );
  });

  it('is told apart of what no equilibrium is held for', () => {
    expect(ester(plan(grams('citric-acid', 1), grams('ethanol', 1)))).toMatchObject({ ok: false });
    expect(asPair('ethanol', 'acetic-acid')).toEqual({ acid: 'acetic-acid', alcohol: 'ethanol' });
    expect(asPair('ethanol', 'methanol')).toBeUndefined();
    expect(
      ester(plan(grams('acetic-acid', 1), grams('ethanol', 1), { catalyst: grams('citric-acid', 0.1) })),
    ).toMatchObject({ ok: false });
  });

  it('a formate left in a wash is half gone within the hour, ethyl acetate within days', () => {
    expect(answer(plan(grams('formic-acid', 1), grams('isoamyl-alcohol', 1))).halfInWashH).toBeCloseTo(0.96, 1);
    expect(answer(plan(grams('acetic-acid', 1), grams('ethanol', 1))).halfInWashH).toBeCloseTo(175, 0);
  });
});
