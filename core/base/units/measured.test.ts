import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { add, budget, combine, exact, scale, standardUncertainty, uncertain } from './measured.ts';

const label = { id: 'label:a', name: 'label' };
const balance = { id: 'balance', name: 'balance' };

describe('Measured', () => {
  it('adds independent uncertainty in squares', () => {
    const sum = add(uncertain(10, 3, label), uncertain(5, 4, balance));
    expect(sum.value).toBe(15);
    expect(standardUncertainty(sum)).toBeCloseTo(5, 12);
  });

  it('lets a uncertainty shared by both terms cancel in their difference', () => {
    const a = uncertain(10, 3, label);
    const difference = add(a, scale(a, -1));
    expect(standardUncertainty(difference)).toBeCloseTo(0, 12);
  });

  it('carries relative uncertainty of a product in squares (GUM 5.1.6)', () => {
    const product = combine({ a: uncertain(10, 0.2, label), b: uncertain(4, 0.12, balance) }, (x) => x.a * x.b);
    expect(standardUncertainty(product) / product.value).toBeCloseTo(Math.hypot(0.02, 0.03), 6);
  });

  it('agrees with Monte Carlo for a quotient', () => {
    const a = uncertain(10, 0.1, label);
    const b = uncertain(3, 0.05, balance);
    const first = combine({ a, b }, (x) => x.a / x.b);
    let state = 12345;
    const random = () => {
      state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
      return state / 4294967296;
    };
    const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const samples = Array.from({ length: 40_000 }, () => (10 + 0.1 * normal()) / (3 + 0.05 * normal()));
    const mean = samples.reduce((s, x) => s + x, 0) / samples.length;
    const sd = Math.sqrt(samples.reduce((s, x) => s + (x - mean) ** 2, 0) / samples.length);
    expect(sd / standardUncertainty(first)).toBeGreaterThan(0.97);
    expect(sd / standardUncertainty(first)).toBeLessThan(1.03);
  });

  it('names who is to blame, in shares that add to one', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 10, noNaN: true }),
        fc.double({ min: 0.01, max: 10, noNaN: true }),
        (u, v) => {
          const shares = budget(add(uncertain(1, u, label), uncertain(1, v, balance)));
          expect(shares.reduce((s, each) => s + each.share, 0)).toBeCloseTo(1, 9);
          expect(shares[0]!.share).toBeGreaterThanOrEqual(shares[1]!.share);
        },
      ),
    );
  });

  it('has no budget for an exact value and refuses a negative uncertainty', () => {
    expect(budget(exact(3))).toEqual([]);
    expect(() => uncertain(1, -1, label)).toThrow(RangeError);
  });

  it('takes a one-sided slope at the edge of what exists', () => {
    const edge = combine({ w: uncertain(100, 1, label) }, (x) => (x.w > 100 ? Number.NaN : x.w * 2));
    expect(standardUncertainty(edge)).toBeCloseTo(2, 3);
  });
});
