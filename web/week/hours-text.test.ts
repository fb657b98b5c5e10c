import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readClock, readStretches, stretchesText } from './hours-text.ts';

describe('hours as they are typed', () => {
  it.each([
    ['18:00 to 22:00', [[18, 22]]],
    [
      '9.30-12, 18–22',
      [
        [9.5, 12],
        [18, 22],
      ],
    ],
    [
      '18 until 24; 7 to 8',
      [
        [7, 8],
        [18, 24],
      ],
    ],
    ['18h to 20 h', [[18, 20]]],
    ['', []],
  ])('%s', (text, hours) => expect(readStretches(text)).toEqual(hours));
  it.each(['22 to 18', '18', 'evening', '18:70 to 20', '9 to 12, 11 to 13', '25 to 26', '18 to 22 to 23', '18 to 18'])(
    '%s is none',
    (text) => expect(readStretches(text)).toBeUndefined(),
  );
  it('over midnight is a night, and no stretch at the bench', () => {
    expect(readClock('23:00 to 7:00')).toEqual({ from: 23, to: 7 });
    expect(readStretches('23:00 to 7:00')).toBeUndefined();
  });
  it('are read as they are written', () => {
    const quarter = fc.integer({ min: 0, max: 95 }).map((n) => n / 4);
    fc.assert(
      fc.property(quarter, fc.integer({ min: 1, max: 96 }), (from, quarters) => {
        const to = Math.min(24, from + quarters / 4);
        expect(readStretches(stretchesText([[from, to]]))).toEqual([[from, to]]);
      }),
    );
  });
});
