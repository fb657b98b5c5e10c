import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { USUAL_STILL } from '#matter/gear';
import { pointAt, positionBy, still } from './index.ts';

// 80 g of 70 % spirit: a slow rise, then a steep one.
const { points } = unwrap(
  still({
    first: 'ethanol',
    second: 'water',
    pressureHPa: 1013.25,
    grams: 300,
    pct: 40,
    staying: [],
    apparatus: USUAL_STILL,
    airC: 20,
    wanted: null,
  }),
);
const minutesAt = (ml: number) => pointAt(points, 'minutes', ml) - (points[0]?.minutes ?? 0);
const headAt = (ml: number) => pointAt(points, 'headC', ml);

describe('where a distillation is', () => {
  it('by the clock alone', () => {
    expect(positionBy(points, { readMl: 0, sinceMin: minutesAt(60), head: null }).ml).toBeCloseTo(60, 0);
    expect(positionBy(points, { readMl: 40, sinceMin: minutesAt(90) - minutesAt(40), head: null }).ml).toBeCloseTo(
      90,
      0,
    );
  });

  it.each([60, 100, 130, 160])('by a head that fits, at %s mL, better than by the clock', (ml) => {
    // The still runs a fifth slower than planned: the clock alone is beyond where it is.
    const sinceMin = 1.2 * minutesAt(ml);
    const clock = positionBy(points, { readMl: 0, sinceMin, head: null });
    const both = positionBy(points, { readMl: 0, sinceMin, head: { headC: headAt(ml), sinceMin: 0 } });
    expect(Math.abs(both.ml - ml)).toBeLessThanOrEqual(Math.abs(clock.ml - ml));
    expect(both.sd).toBeLessThanOrEqual(clock.sd + 1);
  });

  it('goes on from a head that was read a while ago', () => {
    const head = { headC: headAt(100), sinceMin: 10 };
    const now = positionBy(points, { readMl: 0, sinceMin: minutesAt(100) + 10, head });
    expect(now.ml).toBeGreaterThan(100);
    expect(minutesAt(now.ml) - minutesAt(100)).toBeCloseTo(10, -1);
  });

  it('is the clock’s where no place of the course has such a head', () => {
    const sinceMin = minutesAt(50);
    const odd = positionBy(points, { readMl: 0, sinceMin, head: { headC: 16.1, sinceMin: 0 } });
    expect(odd.ml).toBeCloseTo(positionBy(points, { readMl: 0, sinceMin, head: null }).ml, 6);
  });
});
