import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { given } from '#base/figure';
import { unwrap } from '#base/problem';
import { exactReading } from '#base/reading';
import { molarMass, substanceOf } from '#matter/substance';
import { add, amountOf, at, emptyContents, massOverAll } from '#matter/vessel';
import { done, on } from '#testing/on-route';
import { times } from '#testing/property';
import { emptyStanding } from '../outcome.ts';
import { sublimeOver } from './index.ts';

const figure = (value: number, unit = 'g') => given({ symbol: 'x', name: 'x', unit }, value, 'test');
const put = (id: 'water' | 'iodine' | 'sodium-chloride', grams: number, into = emptyContents) =>
  add(into, { substance: substanceOf(id), w: figure(100, '%'), dissolved: id === 'water', name: id }, figure(grams))
    .contents;
const labels = {
  iodide: 'potassium iodide 99 % 100 g',
  acid: 'sulfuric acid 10 % 500 mL',
  peroxide: 'hydrogen peroxide 3 % 500 mL',
};
const op = { substanceId: 'iodine', pot: 'pot', cover: 'cover', dish: 'dish' } as const;
const step = (readings: object = {}) =>
  ({
    facts: {
      recipe: {
        controls: [
          { id: 'pot', start: 75 },
          { id: 'cover', start: 5 },
          { id: 'dish', start: 60 },
        ],
      },
      settings: {},
      bench: { balanceG: 0.01 },
    },
    entries: { readings, finished: true },
    going: { onlyDone: false },
  }) as never;

describe('subliming as a step', () => {
  it('parts what goes over from salt and water, and loses no gram', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 9.9, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        (iodine, salt, water) => {
          const pot = put('water', water, put('sodium-chloride', salt, put('iodine', iodine)));
          const { vessels, figures } = unwrap(sublimeOver.act({ ...emptyStanding, vessels: { pot } }, op, step()));
          expect(massOverAll(vessels)).toBeCloseTo(iodine + salt + water, 6);
          expect(amountOf(at(vessels, 'pot'), 'sodium-chloride')).toBeUndefined();
          expect(figures['product.mass']!.value).toBeLessThanOrEqual(iodine);
          expect(at(vessels, 'pot').waterG.value).toBe(0);
        },
      ),
      { numRuns: times(40) },
    );
  });

  it('goes by what was weighed as left in the dish, and by the warmth that was read', () => {
    const pot = put('iodine', 5);
    const standing = { ...emptyStanding, vessels: { pot } };
    const stopped = unwrap(sublimeOver.act(standing, op, step({ left: exactReading(2, 'g') })));
    expect(stopped.figures['product.mass']!.value).toBeCloseTo(3, 1);
    const I2 = molarMass('I2');
    expect(amountOf(at(stopped.vessels, 'dish'), 'iodine')!.value * I2).toBeCloseTo(2, 6);
    const warm = unwrap(sublimeOver.act(standing, op, step({ temperature: exactReading(95, '°C') })));
    expect(warm.figures['sublimed.hours']!.value).toBeLessThan(stopped.figures['sublimed.hours']!.value);
    // More left than there was: nothing is over, and nothing is made.
    const none = unwrap(sublimeOver.act(standing, op, step({ left: exactReading(50, 'g') })));
    expect(none.figures['product.mass']!.value).toBeCloseTo(0, 9);
    expect(massOverAll(none.vessels)).toBeCloseTo(5, 9);
  });

  it('computes nothing of what melted or is too much, and says so', () => {
    const molten = unwrap(
      sublimeOver.act(
        { ...emptyStanding, vessels: { pot: put('iodine', 5) } },
        op,
        step({ temperature: exactReading(130, '°C') }),
      ),
    );
    expect(molten.notKnown[0]!.says).toMatch(/melted/);
    expect(molten.figures).toEqual({});
    const much = unwrap(sublimeOver.act({ ...emptyStanding, vessels: { pot: put('iodine', 30) } }, op, step()));
    expect(much.notKnown[0]!.says).toMatch(/up to 10 g/);
  });
});

describe('iodine', () => {
  it('from 8.58 g of potassium iodide: by hand 6.49 g in theory', () => {
    const { added, run } = on('iodine', '6 g iodine', labels);
    const { sheet } = run(added('iodide', 'iodide', 8.58));
    // 8.58 × 0.99 ÷ 166.00 ÷ 2 × 253.81
    expect(sheet.theory!.value).toBeCloseTo(6.494, 2);
  });

  it('with hydrochloric acid takes two of it', () => {
    const { run } = on('iodine', '6 g iodine', { ...labels, acid: 'hydrochloric acid 10 % 500 mL' });
    const { sheet } = run();
    const dose = (role: string) => sheet.additions.find((line) => line.role === role)!.amount.value;
    expect(dose('acid') / dose('iodide')).toBeCloseTo(1.2, 1);
    // Half a mol of peroxide for one of iodide, a twentieth over.
    expect(dose('peroxide') / dose('iodide')).toBeCloseTo(0.525, 2);
  });

  it('with too little peroxide comes to less, and iodide is left', () => {
    const { added, run } = on('iodine', '6 g iodine', labels);
    const peroxide = (mL: number) =>
      run(
        added('iodide', 'iodide', 8.6),
        added('acid', 'acid', 28, 'mL'),
        added('peroxide', 'peroxide', mL, 'mL'),
        ...done('iodide', 'water', 'acid', 'peroxide'),
      ).sheet;
    const [half, all] = [peroxide(15), peroxide(32)];
    expect(half.product!.value).toBeLessThan(0.8 * all.product!.value);
  });
});
