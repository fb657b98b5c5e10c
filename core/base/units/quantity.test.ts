import { describe, expect, it } from 'vitest';
import { parseQuantity } from './quantity.ts';

describe('parseQuantity', () => {
  it.each([
    ['1.5 L', 1500],
    ['1,5L', 1500],
    ['343 ml', 343],
    ['1 imp gal', 4546.09],
    ['1 us gal', 3785.411784],
    ['16 fl oz', 473.176473],
  ])('reads the volume %s in mL', (text, mL) => {
    const result = parseQuantity(text, ['volume']);
    expect(result.ok && result.value.value).toBeCloseTo(mL, 6);
  });

  it('reads pounds in grams', () => {
    const result = parseQuantity('2 lb', ['mass']);
    expect(result.ok && result.value.value).toBeCloseTo(907.18474, 6);
  });

  it.each([
    ['', 'missing-part'],
    ['5', 'missing-part'],
    ['5 zorkmids', 'unknown-unit'],
    ['5 g', 'unit-does-not-fit'],
    ['-5 mL', 'out-of-range'],
    ['mL', 'not-a-number'],
  ])('refuses %s as %s', (text, code) => {
    const result = parseQuantity(text, ['volume']);
    expect(result.ok ? 'taken' : result.problem.code).toBe(code);
  });
});
