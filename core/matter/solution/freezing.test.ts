import { describe, expect, it } from 'vitest';
import { substanceOf } from '#matter/substance';
import { freezingOf } from './index.ts';

describe('where ice begins', () => {
  // CRC Handbook, concentrative properties: HCl 5 % −5.98, 3 % −3.5; ethanol 10 % −4.5; H2O2 3 % −1.7; acetic acid 5 % −1.6; ammonia 10 % −13.
  it.each([
    ['hydrochloric-acid', 3, -3.5],
    ['hydrochloric-acid', 5, -5.98],
    ['ethanol', 10, -4.47],
    ['hydrogen-peroxide', 3, -1.7],
    ['acetic-acid', 5, -1.6],
    ['ammonia', 10, -13.5],
  ] as const)('of %s %d %% is about %d °C', (id, pct, tempC) => {
    const found = freezingOf(substanceOf(id), pct)!;
    expect(Math.abs(found.tempC - tempC)).toBeLessThan(Math.max(0.5, 0.2 * Math.abs(tempC)));
  });

  it('is only said to be lower where it is strong, and of no solid or layer', () => {
    expect(freezingOf(substanceOf('hydrochloric-acid'), 28)).toEqual({ tempC: -15, below: true });
    expect(freezingOf(substanceOf('zinc'), 99)).toBeNull();
    expect(freezingOf(substanceOf('ethyl-acetate'), 99)).toBeNull();
    expect(freezingOf(substanceOf('water'), 100)).toEqual({ tempC: 0, below: false });
  });
});
