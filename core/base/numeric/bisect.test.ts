import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bisect } from './bisect.ts';

describe('bisection', () => {
  it('finds a root to the last figure', () => {
    // 2 is between 1 and 2 squared.
    const found = bisect((x) => x * x - 2, { low: 1, high: 2 });
    expect(found.outcome === 'converged' ? found.x : 0).toBeCloseTo(Math.SQRT2, 15);
  });

  it('takes a root at an end, and a step for a root', () => {
    expect(bisect((x) => x - 1, { low: 1, high: 2 })).toEqual({ outcome: 'converged', x: 1 });
    expect(bisect((x) => x - 2, { low: 1, high: 2 })).toEqual({ outcome: 'converged', x: 2 });
    const edge = bisect((x) => (x < 0.3 ? -1 : 1), { low: 0, high: 1, within: 1e-9 });
    expect(edge.outcome === 'converged' ? edge.x : 0).toBeCloseTo(0.3, 8);
  });

  it('says that there is none between, and never answers with an end', () => {
    expect(bisect((x) => x * x + 1, { low: -1, high: 2 })).toEqual({ outcome: 'no bracket', atLow: 2, atHigh: 5 });
    expect(bisect(() => Number.NaN, { low: 0, high: 1 })).toMatchObject({ outcome: 'no bracket' });
  });

  it('says that its steps were not enough, with the bracket so far', () => {
    expect(bisect((x) => x - 0.3, { low: 0, high: 1, within: 1e-9, steps: 3 })).toEqual({
      outcome: 'out of steps',
      low: 0.25,
      high: 0.375,
    });
  });

  it('meets the root of any straight line, rising or falling', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -50, max: 50, noNaN: true }),
        fc.double({ min: 0.1, max: 9, noNaN: true }),
        fc.boolean(),
        (root, slope, rises) => {
          const f = (x: number) => (rises ? slope : -slope) * (x - root);
          const found = bisect(f, { low: -100, high: 100, within: 1e-10 });
          expect(found.outcome).toBe('converged');
          if (found.outcome === 'converged') expect(Math.abs(found.x - root)).toBeLessThan(1e-9);
        },
      ),
      { numRuns: 300 },
    );
  });
});
