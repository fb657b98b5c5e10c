import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { given } from '#base/figure';
import { substanceById } from '#matter/substance';
import { times } from '#testing/property';
import { agedFigure, ageingOf } from './ageing.ts';

const bleach = substanceById('sodium-hypochlorite')!;
const left = (pct: number, days: number, tempC: number, light: 'dark' | 'daylight' = 'dark') =>
  ageingOf(bleach, { pct, band: 0 }, days, 0, { tempC, light })!.now;

describe('ageing', () => {
  // Half-lives at 25 and 15 °C (Baker 1969) fixed the size of the rate, so these only guard it.
  it.each([
    [10, 220, 25],
    [10, 800, 15],
  ])('of %d %% hypochlorite halves in about %d days at %d °C', (pct, days, tempC) => {
    const { mid, low, high } = left(pct, days, tempC);
    expect(mid / pct).toBeGreaterThan(0.42);
    expect(mid / pct).toBeLessThan(0.58);
    expect(low / pct).toBeLessThan(0.5);
    expect(high / pct).toBeGreaterThan(0.5);
  });

  it('takes about a fifth of household bleach in a year, as its makers say', () => {
    const kept = left(5.25, 365, 21).mid / 5.25;
    expect(kept).toBeGreaterThan(0.7);
    expect(kept).toBeLessThan(0.88);
  });

  it('only ever loses, faster when warm and in daylight, and its band only widens', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 15, noNaN: true }),
        fc.integer({ min: 1, max: 900 }),
        fc.integer({ min: 0, max: 35 }),
        (pct, days, tempC) => {
          const { points } = ageingOf(bleach, { pct, band: 0.2 }, days, 100, { tempC, light: 'dark' })!;
          for (let i = 1; i < points.length; i++) {
            expect(points[i]!.mid).toBeLessThanOrEqual(points[i - 1]!.mid);
            expect(points[i]!.low).toBeLessThanOrEqual(points[i]!.mid);
            expect(points[i]!.mid).toBeLessThanOrEqual(points[i]!.high);
            expect((points[i]!.high - points[i]!.low) / points[i]!.mid).toBeGreaterThanOrEqual(
              (points[i - 1]!.high - points[i - 1]!.low) / points[i - 1]!.mid - 1e-9,
            );
          }
          expect(left(pct, days, tempC + 10).mid).toBeLessThan(left(pct, days, tempC).mid);
          expect(left(pct, days, tempC, 'daylight').mid).toBeLessThan(left(pct, days, tempC).mid);
        },
      ),
      { numRuns: times(40) },
    );
  });

  it('asks for an assay before it has gone far', () => {
    const ageing = ageingOf(bleach, { pct: 12.5, band: 0.1 }, 0, 365, { tempC: 20, light: 'dark' })!;
    expect(ageing.reassayDay).toBeGreaterThan(5);
    expect(ageing.reassayDay).toBeLessThan(150);
    expect(ageingOf(bleach, { pct: 12.5, band: 0.1 }, 200, 0, { tempC: 20, light: 'dark' })!.sentence).toContain(
      'Titrate before relying on it',
    );
  });

  it('says nothing of what keeps, nor of an empty or a future bottle', () => {
    expect(
      ageingOf(substanceById('hydrochloric-acid')!, { pct: 28, band: 1 }, 500, 0, { tempC: 20, light: 'dark' }),
    ).toBeUndefined();
    expect(ageingOf(bleach, { pct: 0, band: 0 }, 10, 0, { tempC: 20, light: 'dark' })).toBeUndefined();
    expect(ageingOf(bleach, { pct: 5, band: 0 }, -10, 0, { tempC: 20, light: 'dark' })).toBeUndefined();
  });
});

describe('the strength that a plan counts with', () => {
  const label = given({ symbol: 'w', name: 'strength', unit: '%' }, 12.5, 'label');
  const kept = { tempC: 25, light: 'dark' } as const;
  const held = (days: number) => agedFigure(label, 'bottle_1', bleach, days, kept).value;

  it('is the label’s on the day it was bought, and less a day later already', () => {
    expect(held(0)).toBe(12.5);
    expect(held(1)).toBeLessThan(12.5);
  });

  it('falls within the first month as fast as it does after', () => {
    const [first, second] = [held(0) - held(30), held(30) - held(60)];
    expect(first).toBeGreaterThan(0.2);
    // The stronger it is, the faster it goes: the first month takes more than the second.
    expect(first).toBeGreaterThan(second);
    expect(held(15)).toBeCloseTo((held(0) + held(30)) / 2, 0);
  });
});
