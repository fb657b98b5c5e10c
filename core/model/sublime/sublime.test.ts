import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sublimations } from '#matter/data';
import { isSubstanceId } from '#matter/substance';
import { diffusion, type SublimeInput, stirredByItself, sublimationOf, sublime, vapourOver } from './index.ts';

const dish = (more: Partial<SublimeInput> = {}): SublimeInput => ({
  substanceId: 'iodine',
  grams: 5,
  potC: 60,
  coverC: 5,
  dishCm2: 60,
  gapCm: 3,
  glass: 'borosilicate',
  hours: null,
  ...more,
});
const answer = (input: SublimeInput) => {
  const found = sublime(input);
  if (!found.ok) throw new Error(found.problem.message);
  return found.value;
};
const message = (input: SublimeInput) => {
  const found = sublime(input);
  return found.ok ? '' : found.problem.message;
};

describe('vapour over a solid', () => {
  // The three-term equation of Gillespie and Fraser for iodine, and the table that goes with it: Pa.
  it.each([
    [20, 27],
    [40, 137],
    [60, 570],
    [100, 6150],
  ])('of iodine at %d °C is %d Pa', (tempC, pascal) => {
    const found = vapourOver(sublimationOf('iodine')!, tempC)!;
    expect(Math.abs(found / pascal - 1)).toBeLessThan(0.07);
  });

  it('is held of known substances, and rises with warmth', () => {
    for (const row of sublimations) {
      expect(isSubstanceId(row.substance)).toBe(true);
      const [low, high] = row.tempC;
      expect(vapourOver(row, high)!).toBeGreaterThan(vapourOver(row, low)!);
      expect(vapourOver(row, low - 1)).toBeNull();
    }
  });
});

describe('the air between', () => {
  // Published at 25 °C, cm²/s.
  it.each([
    ['I2', 0.083],
    ['C10H8', 0.062],
    ['H2O', 0.25],
  ])('%s diffuses with %d', (formula, D) => {
    expect(Math.abs(diffusion(formula, 25) / D - 1)).toBeLessThan(0.22);
  });

  it('lies still in a narrow gap and under heavy vapour, and turns over in a wide one', () => {
    expect(stirredByItself({ hotC: 60, coldC: 5, cm: 0.5, share: 0.005, M: 254 })).toBe(1);
    expect(stirredByItself({ hotC: 60, coldC: 5, cm: 4, share: 0.005, M: 254 })).toBeGreaterThan(2);
    const heavy = stirredByItself({ hotC: 110, coldC: 60, cm: 4, share: 0.1, M: 254 });
    expect(heavy).toBeLessThan(stirredByItself({ hotC: 110, coldC: 60, cm: 4, share: 0, M: 254 }));
  });
});

describe('subliming', () => {
  it('iodine from an open dish at 25 °C loses about 3 mg from a cm² in an hour', () => {
    const { openGPerHour } = answer(dish({ potC: 25 }));
    expect((1000 * openGPerHour) / 60).toBeCloseTo(3, 0);
  });

  it('a few grams of iodine take hours at 60 °C, and far less near 100 °C', () => {
    expect(answer(dish()).hours[1]).toBeGreaterThan(1);
    expect(answer(dish()).hours[1]).toBeLessThan(24);
    expect(answer(dish({ potC: 100 })).hours[1]).toBeLessThan(2.5);
  });

  it('keeps every gram: what is over, lost and left is what went in', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 10, noNaN: true }),
        fc.double({ min: 20, max: 110, noNaN: true }),
        fc.double({ min: 0.01, max: 50, noNaN: true }),
        (grams, potC, hours) => {
          const { over, lost, gPerHour } = answer(dish({ grams, potC, hours }));
          expect(over).toBeGreaterThanOrEqual(0);
          expect(over + lost[1]).toBeLessThanOrEqual(grams + 1e-9);
          expect(over + lost[1]).toBeLessThanOrEqual(gPerHour[1] * hours + 1e-9);
          expect(lost[0]).toBeLessThanOrEqual(lost[2]);
        },
      ),
    );
  });

  it('goes faster warmer, from a wider dish, under a nearer cover, and takes longer for more', () => {
    const pace = (more: Partial<SublimeInput>) => answer(dish(more)).gPerHour[1];
    for (let t = 20; t < 113; t += 1) expect(pace({ potC: t + 1 })).toBeGreaterThan(pace({ potC: t }));
    expect(pace({ dishCm2: 120 })).toBeCloseTo(2 * pace({}), 9);
    expect(pace({ gapCm: 0.5 })).toBeGreaterThan(pace({ gapCm: 1 }));
    expect(answer(dish({ grams: 9 })).hours[1]).toBeGreaterThan(answer(dish()).hours[1]);
  });

  it('warns of glass that cracks, and not of glass that stands it', () => {
    expect(answer(dish({ glass: 'soda-lime' })).says[0]).toMatch(/Soda-lime glass cracks/);
    expect(answer(dish({ potC: 90, coverC: 5 })).says.join(' ')).not.toMatch(/cracks/);
  });

  it('says what is not: melted, no vapour held, a cover as warm, too much iodine', () => {
    expect(message(dish({ potC: 130 }))).toMatch(/has melted \(113\.6 °C\)/);
    expect(message(dish({ substanceId: 'ammonium-chloride', potC: 100 }))).toMatch(/from 160 to 340/);
    expect(message(dish({ substanceId: 'sodium-chloride' }))).toMatch(/not held/);
    expect(message(dish({ coverC: 60 }))).toMatch(/colder than the dish/);
    expect(message(dish({ grams: 50 }))).toMatch(/up to 10 g/);
  });
});
