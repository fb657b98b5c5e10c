import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { times } from '#testing/property';
import { type HalideInput, halideCourse } from './index.ts';

const mix = (over: Partial<HalideInput> = {}): HalideInput => ({
  halide: 'bromide',
  halideM: 1,
  acidM: 1,
  sulfateM: 0,
  peroxideM: 1,
  tempC: 25,
  hours: 12,
  ...over,
});
const course = (over: Partial<HalideInput> = {}) => unwrap(halideCourse(mix(over)));

describe('bromide with peroxide and acid', () => {
  it('begins at 2.3e-4 mol/(L s) at 1 mol/L each, and a thousandth of that at a tenth', () => {
    const early = course({ hours: 0.001 });
    expect(early.after.halogenM / 3.6).toBeCloseTo(2.3e-4, 5);
    const thin = course({ halideM: 0.1, acidM: 0.1, peroxideM: 0.1, hours: 0.01 });
    // What is made is there in the first instant; later peroxide takes it back.
    expect(thin.after.halogenM / 36 / 2.3e-7).toBeGreaterThan(0.5);
    expect(thin.after.halogenM / 36 / 2.3e-7).toBeLessThan(1.01);
  });

  it('comes to something strong, to nothing thin, as those who tried it found', () => {
    const strong = course({ halideM: 2, acidM: 3, peroxideM: 1 });
    expect(strong.mostPct).toBeGreaterThan(50);
    expect(strong.verdict).not.toBe('never');
    const thin = course({ halideM: 0.1, acidM: 0.1, peroxideM: 0.1, hours: 200 });
    expect(thin.mostPct).toBeLessThan(1);
    expect(thin.verdict).toBe('never');
    expect(thin.after.oxygenM).toBeGreaterThan(5 * thin.most.halogenM);
  });

  it('more acid helps more than its share: it stands in the rate and in what stays', () => {
    const [one, more] = [course({ halideM: 0.5, acidM: 0.5 }), course({ halideM: 0.5, acidM: 1.5 })];
    expect(more.most.halogenM / one.most.halogenM).toBeGreaterThan(3);
    expect(one.faster.acid).toBeCloseTo(1.5, 6);
    expect(one.faster.warm).toBeGreaterThan(2.5);
  });
});

describe('iodide with peroxide', () => {
  it('of 0.1 mol/L without acid: peroxide halves in 10 min, and no iodine comes', () => {
    const found = course({ halide: 'iodide', halideM: 0.1, acidM: 0, peroxideM: 0.001, hours: 1 / 6 });
    expect(found.after.peroxideM / 0.001).toBeCloseTo(0.5, 1);
    expect(found.most.halogenM).toBe(0);
  });

  it('in acid it is over within the hour', () => {
    const found = course({ halide: 'iodide', halideM: 1, acidM: 1.2, peroxideM: 0.55, hours: 2 });
    expect(found.mostPct).toBeGreaterThan(95);
    expect(found.verdict).toBe('soon');
  });
});

describe('any mixture', () => {
  it('keeps its halogen, never more than its peroxide makes, and says so of nothing', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('bromide' as const, 'iodide' as const),
        fc.double({ min: 0.001, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.double({ min: 0.001, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        (halide, halideM, acidM, sulfateM, peroxideM, tempC) => {
          const found = course({ halide, halideM, acidM, sulfateM, peroxideM, tempC, hours: 24 });
          for (const each of found.course) {
            expect(each.halogenM).toBeGreaterThanOrEqual(0);
            expect(2 * each.halogenM).toBeLessThanOrEqual(halideM * 1.0001);
            expect(each.halogenM + each.oxygenM + each.peroxideM).toBeLessThanOrEqual(peroxideM * 1.02);
          }
        },
      ),
      { numRuns: times(60) },
    );
    expect(halideCourse(mix({ halideM: 0 })).ok).toBe(false);
    expect(halideCourse(mix({ peroxideM: 0 })).ok).toBe(false);
  });
});
