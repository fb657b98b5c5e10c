import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { amountText, poured } from './poured.ts';

describe('a portion as the hand measures it', () => {
  it('is weighed, or poured by the half millilitre', () => {
    expect(poured({ gPerMl: null }, 9)).toEqual({ value: 9, unit: 'g' });
    expect(poured({ gPerMl: 1.03 }, 9)).toEqual({ value: 8.5, unit: 'mL' });
    expect(poured({ gPerMl: 1.14 }, 0.3)).toEqual({ value: 0.3, unit: 'mL' });
    expect(amountText({ gPerMl: 1.14 }, 259, 3)).toBe('227 mL');
    expect(amountText({ gPerMl: null }, 259, 3)).toBe('259 g');
  });

  it('never is more than the portion that was found, nor none of it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.6, max: 2, noNaN: true }),
        fc.double({ min: 0.01, max: 500, noNaN: true }),
        (gPerMl, grams) => {
          const { value } = poured({ gPerMl }, grams);
          expect(value).toBeGreaterThan(0);
          if (grams / gPerMl >= 0.5) expect(value * gPerMl).toBeLessThanOrEqual(grams * 1.000001);
        },
      ),
    );
  });
});
