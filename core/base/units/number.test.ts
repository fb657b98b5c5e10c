import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseNumber } from './number.ts';

const value = (text: string) => {
  const result = parseNumber(text);
  return result.ok ? result.value : result.problem.code;
};

describe('parseNumber', () => {
  it.each([
    ['9.5', 9.5],
    ['9,5', 9.5],
    ['0,125', 0.125],
    ['1 500', 1500],
    ['1.500,5', 1500.5],
    ['1,500.5', 1500.5],
    ['1,234,567', 1234567],
    ['−4', -4],
    ['1.5e3', 1500],
    ['.5', 0.5],
    ['1.', 1],
  ])('reads %s', (text, expected) => expect(value(text)).toBe(expected));

  it.each([
    ['', 'missing-part'],
    ['   ', 'missing-part'],
    ['abc', 'not-a-number'],
    ['1,2,3', 'not-a-number'],
    ['1.2.3.4', 'not-a-number'],
    ['--3', 'not-a-number'],
    ['1,500', 'ambiguous-number'],
    ['1e999', 'out-of-range'],
    ['NaN', 'not-a-number'],
    ['Infinity', 'not-a-number'],
  ])('refuses %s as %s', (text, code) => expect(value(text)).toBe(code));

  it('names both readings of an ambiguous comma', () => {
    const result = parseNumber('1,500');
    expect(result.ok ? '' : result.problem.message).toContain('1500 or 1.500');
  });

  it('reads back every number it could have printed, with a point or a comma', () => {
    fc.assert(
      fc.property(fc.double({ min: -1e6, max: 1e6, noNaN: true }), (x) => {
        const text = x.toFixed(4);
        expect(value(text)).toBeCloseTo(Number(text), 10);
        expect(value(text.replace('.', ','))).toBeCloseTo(Number(text), 10);
      }),
    );
  });

  it('never throws', () => {
    fc.assert(fc.property(fc.string(), (text) => void parseNumber(text)));
  });
});
