import dayjs from 'dayjs';
import { describe, expect, it } from 'vitest';
import { USUAL_HOURS } from '#matter/gear';
import { compute } from './compute.ts';
import { hoursFrom, lightOn } from './hours.ts';

/** Minutes after midnight, universal time. */
const utc = (ms: number) => (ms / 60_000) % 1440;
const on = (day: string, lat: number, lon: number) =>
  lightOn(dayjs(`${day}T00:00:00`), { lat, lon }).map((each) => each.map((at) => Math.round(utc(at))));

describe('light', () => {
  // Published times of sunrise and sunset (almanac tables, to the minute, UT).
  it.each([
    ['2026-06-21', 51.48, 0, 3 * 60 + 43, 20 * 60 + 21],
    ['2026-12-21', 51.48, 0, 8 * 60 + 3, 15 * 60 + 53],
    ['2026-03-20', 40.71, -74.01, 10 * 60 + 59, 23 * 60 + 8],
    ['2026-12-21', 59.91, 10.75, 8 * 60 + 18, 14 * 60 + 12],
  ])('on %s at %f, %f is from %i to %i', (day, lat, lon, rise, set) => {
    const [[from, to]] = on(day, lat, lon) as [[number, number]];
    expect(Math.abs(from - rise)).toBeLessThanOrEqual(2);
    expect(Math.abs(to - set)).toBeLessThanOrEqual(2);
  });
  it('is all day or never beyond the polar circle', () => {
    expect(on('2026-12-21', 69.65, 18.96)).toEqual([]);
    const [[from, to]] = lightOn(dayjs('2026-06-21T00:00:00'), { lat: 69.65, lon: 18.96 }) as [[number, number]];
    expect(to - from).toBe(86_400_000);
  });
});

describe('hours', () => {
  // A Friday.
  const now = dayjs('2026-11-27T19:00:00').valueOf();
  const at = (days: number, h: number) => 1440 * days + 60 * h;
  it('are laid out from the day on, and nothing of them is past', () => {
    const { free, home, lightKnown } = hoursFrom(USUAL_HOURS, now, 3);
    expect(free).toEqual([
      [at(0, 19), at(0, 22)],
      [at(1, 9.5), at(1, 20)],
      [at(2, 9.5), at(2, 20)],
    ]);
    expect(home).toEqual([
      [at(0, 19), at(0, 23)],
      [at(1, 7), at(1, 23)],
      [at(2, 7), at(2, 23)],
    ]);
    expect(lightKnown).toBe(false);
  });
  it('leave out when one is away, and days of rain for what is done outdoors', () => {
    const from = dayjs('2026-11-28T12:00:00').toISOString();
    const to = dayjs('2026-11-29T12:00:00').toISOString();
    const { free, light } = hoursFrom({ ...USUAL_HOURS, away: [{ from, to, why: '' }], wet: ['2026-11-28'] }, now, 3);
    expect(free).toEqual([
      [at(0, 19), at(0, 22)],
      [at(1, 9.5), at(1, 12)],
      [at(2, 12), at(2, 20)],
    ]);
    expect(light).toEqual([
      [at(0, 8), at(0, 16)],
      [at(2, 8), at(2, 16)],
    ]);
  });
  it('of one who is never there are none', () => {
    expect(hoursFrom({ ...USUAL_HOURS, week: Array.from({ length: 7 }, () => []) }, now, 14).free).toEqual([]);
  });
});

describe('stretches at the door', () => {
  it('that go backwards are refused with the field and what would be right', () => {
    const task = {
      id: 'a',
      batch: 'a',
      title: 'A',
      handsOnMin: 5,
      waitMin: [10, 5],
      wait: 'alone',
      daylight: false,
      gear: [],
      after: [],
    };
    const found = compute('schedule', { tasks: [task], free: [[0, 60]], light: [] });
    expect(found).toMatchObject({ ok: false, problem: { field: 'tasks[0].waitMin' } });
    expect(found.ok ? '' : found.problem.message).toMatch(/goes backwards, from 10 to 5: the smaller comes first/);
  });
});
