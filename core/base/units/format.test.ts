import { describe, expect, it } from 'vitest';
import { formatFigure, formatNumber, formatPlain } from './format.ts';
import { listed } from './listed.ts';

describe('rounding to the uncertainty', () => {
  it.each([
    [8.7491, 0.065, '8.75 ± 0.13'],
    [27.13, 0.2, '27.1 ± 0.4'],
    [62.3, 2.1, '62 ± 4'],
    [307.4, 2.6, '307 ± 5'],
    [60, 0, '60'],
    [5, 0, '5'],
    [287.5361, 0.02, '287.5'],
  ])('shows %d with sd %d as %s', (value, sd, text) => expect(formatFigure(value, sd)).toBe(text));

  it.each([
    [12345.6, '12\u202f350'],
    [-0.004, '\u22120.004000'],
    [0, '0'],
    [1.5e9, '1.50 × 10⁹'],
    [Number.NaN, '–'],
  ])('writes %d as %s', (value, text) => expect(formatNumber(value)).toBe(text));

  it('writes a field value without trailing zeros', () => expect(formatPlain(17.1)).toBe('17.1'));
});

describe('names in a row', () => {
  it('stand with commas and one “and”', () => {
    expect([[], ['zinc'], ['zinc', 'acid'], ['zinc', 'acid', 'water']].map(listed)).toEqual([
      '',
      'zinc',
      'zinc and acid',
      'zinc, acid and water',
    ]);
  });
});
