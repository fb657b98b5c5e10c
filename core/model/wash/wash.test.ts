import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { paperHolds, phAsWashed, portionsFor, rinse, washed, washings, washReading } from './index.ts';

describe('washing', () => {
  it('leaves the closed form R/(R + V) for every portion', () => {
    // 20 mL held, three times 50 mL: (20/70)³ = 0.02332.
    expect(washed({ retainedMl: 20, portionsMl: [50, 50, 50] })).toBeCloseTo((20 / 70) ** 3, 12);
    expect(washed({ retainedMl: 20, portionsMl: [] })).toBe(1);
  });

  it('needs the portions that bring it down, and no fewer', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 100, noNaN: true }),
        fc.double({ min: 1, max: 300, noNaN: true }),
        fc.double({ min: 1e-6, max: 0.9, noNaN: true }),
        (retained, portion, share) => {
          const n = portionsFor(retained, portion, share)!;
          const left = (count: number) => washed({ retainedMl: retained, portionsMl: Array(count).fill(portion) });
          expect(left(n)).toBeLessThanOrEqual(share * (1 + 1e-6));
          if (n > 0) expect(left(n - 1)).toBeGreaterThan(share * (1 - 1e-6));
        },
      ),
    );
    expect(portionsFor(20, 50, 1)).toBe(0);
    expect(portionsFor(20, 0, 0.1)).toBeUndefined();
    expect(portionsFor(20, 50, 0)).toBeUndefined();
  });

  it('gains by more and smaller portions, at the same cost in product', () => {
    const splits = washings(20, 150, 4, 0.1);
    for (let i = 1; i < splits.length; i++) {
      expect(splits[i]!.left).toBeLessThan(splits[i - 1]!.left);
      expect(splits[i]!.lostG).toBeCloseTo(0.15, 9);
    }
  });

  it('says how many more from how the washings read, or to stop', () => {
    const fell = [1, 2, 3].map((portion) => ({ portion, value: 4000 * 0.25 ** portion }));
    // 62.5 after three; 10 is 1.32 portions of a quarter each away.
    expect(washReading(fell, 10)).toBe(2);
    expect(washReading(fell, 100)).toBe(0);
    expect(washReading([{ portion: 1, value: 500 }], 10)).toBeUndefined();
    expect(
      washReading(
        [1, 2, 3].map((portion) => ({ portion, value: 500 })),
        10,
      ),
    ).toBeUndefined();
    expect(washReading([], 10)).toBeUndefined();
  });
});

describe('washing to a pH', () => {
  const at = (...pHs: number[]) => pHs.map((value, i) => ({ portion: i + 1, value }));
  const more = (pHs: readonly number[], goal: number) => {
    const { readings, goal: amount } = phAsWashed(at(...pHs), goal);
    return washReading(readings, amount);
  };

  it('counts the portions from either side of neutral', () => {
    // A pH for each portion: from 3 by one a portion, three more to 6; the same down from 12.
    expect(more([2, 3], 6)).toBe(3);
    expect(more([13, 12], 9)).toBe(3);
    expect(more([3, 6.1], 6)).toBe(0);
    expect(more([11, 8.9], 9)).toBe(0);
    expect(more([4, 4], 6)).toBeUndefined();
  });

  it('goes by the cake while there is one reading only', () => {
    // A quarter is left by each portion: from 4000 to 100 in 2.7.
    expect(washReading([{ portion: 1, value: 4000 }], 100, 0.25)).toBe(3);
    expect(washReading([{ portion: 1, value: 4000 }], 100, 1)).toBeUndefined();
    expect(washReading([{ portion: 1, value: 40 }], 100, 0.25)).toBe(0);
  });
});

describe('a rinse of the paper', () => {
  it('brings back V ÷ (V + R) of what the paper holds, and costs its boiling', () => {
    // 125 mm: 122.7 cm² × 0.03 = 3.68 mL; at 40 g in 100 mL 1.47 g; 5 mL brings 57.6 % back and boils off in 2 min at 150 g/h.
    expect(paperHolds(125, false)).toBeCloseTo(3.68, 2);
    const worth = rinse(3.68, 40, 5, 150);
    expect(worth.heldG).toBeCloseTo(1.472, 3);
    expect(worth.backG).toBeCloseTo(0.848, 3);
    expect(worth.minutes).toBeCloseTo(2, 9);
    expect(rinse(0, 40, 0, 150)).toEqual({ heldG: 0, backG: 0, minutes: 0 });
  });
});

describe('a drained paper', () => {
  it('holds twice as much fluted as folded', () => {
    // 110 mm: π ÷ 4 × 11² cm² × 0.03 mL.
    expect(paperHolds(110, false)).toBeCloseTo(2.85, 2);
    expect(paperHolds(110, true)).toBeCloseTo(5.7, 2);
  });
});
