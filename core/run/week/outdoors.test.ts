import { describe, expect, it } from 'vitest';
import type { Stretch } from '#base/time';
import { free, light, placedAt, task, week } from '#testing/week';
import type { WeekInput } from './index.ts';

const DAY = 1440;
const on = (day: number, low: number, high: number): NonNullable<WeekInput['air']>[number] => ({
  stretch: [day * DAY, (day + 1) * DAY],
  airC: [low, high],
});
/** From ten to four on each of five days. */
const days = Array.from({ length: 5 }, (_, day): Stretch => [day * DAY + 600, day * DAY + 960]);
const outdoors = (airC?: Stretch) => task('a1', { daylight: true, ...(airC ? { airC } : {}) });

describe('what is done outdoors', () => {
  it('waits for a day that is neither too cold nor too warm for it, as far as that was said', () => {
    const air = [on(0, 12, 31), on(1, -4, 6), on(2, 3, 11)];
    const at = (airC?: Stretch) => placedAt(week([outdoors(airC)], { free: days, light, air }), 'a1');
    expect(at()).toMatchObject({ from: 600, because: 'daylight' });
    expect(at([-60, 25])).toMatchObject({ from: DAY + 600, because: 'the weather' });
    expect(at([0, 25])).toMatchObject({ from: 2 * DAY + 600, because: 'the weather' });
    // Of the fourth day nothing is known: it is not taken for unfit.
    expect(at([10, 12])).toMatchObject({ from: 3 * DAY + 600, because: 'the weather' });
  });

  it('has no place where no day is fit, and says which would be', () => {
    const air = days.map((_, day) => on(day, 24, 33));
    const found = week([outdoors([-60, 25]), task('a2', { after: ['a1'] })], { free: days, light, air });
    expect(found.placed).toEqual([]);
    expect(found.left[0]?.why).toMatch(/wants a day outdoors between -60 and 25 °C, and none of these is/);
  });

  it('breaks the weather where it is put on such a day by hand', () => {
    const pinned = { ...outdoors([0, 25]), pinnedMin: DAY + 600 };
    const found = week([pinned], { free: days, light, air: [on(1, -4, 6)] });
    expect(found.broken).toEqual([{ id: 'a1', what: 'weather', by: null, gear: null, min: 30 }]);
  });

  it('indoors is not asked for the weather', () => {
    const found = week([task('a1', { airC: [0, 5] })], { free, light, air: [on(0, 20, 30)] });
    expect(placedAt(found, 'a1').from).toBe(1080);
  });
});
