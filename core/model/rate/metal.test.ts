import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { type MetalInput, metalInAcid } from './index.ts';

const of = (over: Partial<MetalInput> = {}): MetalInput => ({
  form: 'sheet',
  sizeMm: 2,
  gonePct: 20,
  hours: 8,
  residuePct: 0,
  ...over,
});
const answer = (over: Partial<MetalInput> = {}) => unwrap(metalInAcid(of(over)));

describe('a metal in acid', () => {
  it('a sheet of 2 mm, a fifth gone in 8 h, has 32 h to go, by hand; cut to half a mm 10 h', () => {
    const found = answer({ toMm: 0.5 });
    expect(found.mmPerH).toBeCloseTo(0.025, 9);
    expect(found.left[0]).toBeCloseTo(32, 9);
    expect(found.ifCut![0]).toBeCloseTo(10, 9);
  });

  it('a grain goes by its cube root: half gone in 10 h, 38.5 h to go', () => {
    // 1 − 0.5^(1/3) = 0.2063 in 10 h: 48.5 h in all.
    expect(answer({ form: 'grain', gonePct: 50, hours: 10 }).left[0]).toBeCloseTo(38.5, 1);
  });

  it('warmer is sooner, colder later, and an alloy leaves its rest', () => {
    const found = answer({ warmerK: 20, residuePct: 4 });
    expect(found.ifWarmer![0]).toBeLessThan(found.left[0]);
    expect(found.ifWarmer![1]).toBeLessThan(found.left[1]);
    expect(answer({ warmerK: -10 }).ifWarmer![1]).toBeGreaterThan(found.left[1]);
    expect(found.says).toMatch(/4 % of it never dissolves/);
  });

  it('refuses to be cut larger, and is never done before now', () => {
    expect(metalInAcid(of({ toMm: 3 })).ok).toBe(false);
    fc.assert(
      fc.property(
        fc.constantFrom('sheet' as const, 'grain' as const),
        fc.double({ min: 0.01, max: 100, noNaN: true }),
        fc.double({ min: 0.01, max: 99.9, noNaN: true }),
        fc.double({ min: 0.01, max: 1000, noNaN: true }),
        (form, sizeMm, gonePct, hours) => {
          const { left } = answer({ form, sizeMm, gonePct, hours });
          expect(left[0]).toBeGreaterThanOrEqual(0);
          expect(left[1]).toBeGreaterThanOrEqual(left[0]);
          // The more is gone in a time, the sooner it is over.
          if (gonePct < 90) expect(answer({ form, sizeMm, gonePct: gonePct + 5, hours }).left[0]).toBeLessThan(left[0]);
        },
      ),
    );
  });
});
