import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { BenchDefaults } from '#matter/gear';
import { whenAsked } from '#run/agenda';
import { testShelf } from '#testing/shelf';
import { free, home, light, task } from '#testing/week';

const DAY = 1440;
const asking = (text: string, shelf = testShelf) => ({ text, shelf, bench: BenchDefaults, today: '2026-03-14' });
const week = { tasks: [], free, light, home };
const when = (text: string, over: Partial<Parameters<typeof whenAsked>[1]['week']> = {}) =>
  whenAsked(asking(text), { week: { ...week, ...over }, from: 0, now: 0 });
const message = (found: ReturnType<typeof when>) => (found.ok ? '' : found.problem.message);

describe('when something would be done', () => {
  it('is a band, begun in the first hours, with the hands and the visits it takes', () => {
    const found = unwrap(when('1 L of 1 mol/L hydrochloric acid'));
    expect(found.beginsMin).toBeGreaterThanOrEqual(1080);
    expect(found.doneMin[0]).toBeLessThanOrEqual(found.doneMin[1]);
    expect(found.visits).toBeGreaterThanOrEqual(1);
    expect(found.handsOnMin).toBeGreaterThan(5);
    expect(found.steps.map(({ from }) => from)).toEqual([...found.steps.map(({ from }) => from)].sort((a, b) => a - b));
  });

  it('is later where the hours are taken, and moves nothing that stands there', () => {
    const busy = Array.from({ length: 5 }, (_, i) => task(`a${i}`, { handsOnMin: 240, byMin: (i + 1) * DAY }));
    expect(unwrap(when('1 L of 1 mol/L hydrochloric acid', { tasks: busy })).beginsMin).toBeGreaterThanOrEqual(5 * DAY);
  });

  it('says what is missing, what cannot be, and that nobody is there', () => {
    expect(whenAsked(asking('60 g zinc sulfate', []), { week, from: 0, now: 0 })).toMatchObject({ ok: false });
    expect(message(when('60 g unobtainium'))).not.toBe('');
    expect(message(when(''))).not.toBe('');
    expect(message(when('1 L of 1 mol/L hydrochloric acid', { free: [], tasks: [task('a1')] }))).toMatch(
      /no free hour/,
    );
    expect(message(when('60 g zinc sulfate', { free: [[0, 3]] }))).toMatch(/in one stretch|no place|full before/);
  });
});
