import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { times } from '#testing/property';
import { free, home, light, placedAt, task, week } from '#testing/week';
import { reliefs, standTogether, type Task } from './index.ts';

const DAY = 1440;
const EVENING = 1080;
const what = (tasks: readonly Task[]) => week(tasks).broken.map((each) => [each.id, each.what, each.min]);

describe('a step put somewhere by hand', () => {
  it('stands there, and what comes after it moves', () => {
    const tasks = [task('a1'), task('a2', { after: ['a1'] })];
    expect(placedAt(week(tasks), 'a2').from).toBe(EVENING + 30);
    const moved = week([{ ...tasks[0]!, pinnedMin: 2 * DAY + EVENING }, tasks[1]!]);
    expect(placedAt(moved, 'a1')).toMatchObject({ from: 2 * DAY + EVENING, because: 'put there' });
    expect(placedAt(moved, 'a2')).toMatchObject({
      from: 2 * DAY + EVENING + 30,
      because: 'what goes before',
      by: 'a1',
    });
    expect(moved.broken).toEqual([]);
  });

  it('says what it breaks: nobody there, the dark, the order, gear, two at once', () => {
    expect(what([task('a1', { pinnedMin: 600 })])).toEqual([['a1', 'nobody there', 30]]);
    expect(what([task('a1', { pinnedMin: 5 * DAY + 1010, daylight: true })])).toEqual([['a1', 'dark', 20]]);
    expect(what([task('a1'), task('a2', { after: ['a1'], pinnedMin: EVENING })])).toContainEqual(['a2', 'order', 60]);
    const plate = { gear: ['hotplate'], waitMin: [60, 60] as const };
    const both = [task('a1', { ...plate, pinnedMin: EVENING }), task('b1', { ...plate, pinnedMin: EVENING + 45 })];
    expect(what(both)).toContainEqual(['b1', 'gear', 45]);
    expect(what([task('a1', { pinnedMin: EVENING }), task('b1', { pinnedMin: EVENING + 20 })])).toContainEqual([
      'a1',
      'two at once',
      10,
    ]);
  });

  it('keeps all others out of its way', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 13 * DAY }), fc.integer({ min: 10, max: 200 }), (pinnedMin, handsOnMin) => {
        const found = week([task('a1', { pinnedMin, handsOnMin }), task('b1'), task('c1', { handsOnMin: 90 })]);
        for (const each of found.placed)
          if (each.id !== 'a1') expect(each.from >= pinnedMin + handsOnMin || each.handsOffAt <= pinnedMin).toBe(true);
      }),
      { numRuns: times(60) },
    );
  });
});

describe('beside a step that is only stayed with', () => {
  const still = task('a1', { handsOnMin: 10, waitMin: [200, 220], wait: 'stay' });
  const from = (besideMin: number, over: Partial<Task> = {}) =>
    placedAt(week([still, task('b1', { handsOnMin: 8, ...over })], { besideMin, order: ['a1', 'b1'], holds: {} }), 'b1')
      .from;
  it('a short one may be done, after its hands are off; where that is not said, none', () => {
    expect(from(10)).toBe(EVENING + 10);
    expect(from(0)).toBe(EVENING + 230);
  });
  it('no long one, none that must be stayed with itself, and none elsewhere', () => {
    expect(from(10, { handsOnMin: 11 })).toBe(DAY + EVENING);
    expect(from(10, { wait: 'stay', waitMin: [1, 1] })).toBe(EVENING + 230);
    expect(from(10, { daylight: true })).toBeGreaterThan(EVENING + 230);
  });
});

describe('gear', () => {
  it('of which there are two is in use twice at once, and not a third time', () => {
    const plate = { gear: ['hotplate'], handsOnMin: 10, waitMin: [100, 120] as const };
    const three = [task('a1', plate), task('b1', plate), task('c1', plate)];
    const begins = (pieces: Record<string, number>) =>
      week(three, { pieces })
        .placed.map(({ from }) => from)
        .sort((a, b) => a - b);
    expect(begins({ hotplate: 2 })).toEqual([EVENING, EVENING + 10, EVENING + 130]);
    expect(begins({ condenser: 2 })).toEqual([EVENING, EVENING + 130, DAY + EVENING]);
  });
});

describe('the air', () => {
  it('keeps a flame from vapour that burns, in either order, and lets one batch be', () => {
    const spirit = { gives: ['vapour that burns'], waitMin: [60, 60] as const };
    const flame = { shuns: ['vapour that burns'], waitMin: [20, 20] as const };
    const found = week([task('a1', spirit), task('b1', flame)]);
    const [a, b] = [placedAt(found, 'a1'), placedAt(found, 'b1')];
    expect(a.over[1] <= b.from || b.over[1] <= a.from).toBe(true);
    expect([a.because, b.because]).toContain('the air');
    expect(
      what([task('a1', { ...spirit, pinnedMin: EVENING }), task('b1', { ...flame, pinnedMin: EVENING + 40 })]),
    ).toContainEqual(['b1', 'air', 50]);
  });
});

describe('what stands together', () => {
  it('is what goes on at once and must be kept apart, or only at a distance; of one batch nothing', () => {
    const ammonia = { gives: ['ammonia'], shuns: ['acid vapour'], startedMin: 0 };
    const acid = { gives: ['acid vapour'], shuns: ['ammonia'], startedMin: 0 };
    expect(standTogether([task('a1', ammonia), task('b1', acid)])).toEqual([
      { gives: 'ammonia', by: 'a1', beside: 'b1', never: true },
      { gives: 'acid vapour', by: 'b1', beside: 'a1', never: true },
    ]);
    const spirit = task('a1', { gives: ['what burns'], startedMin: 0 });
    expect(standTogether([spirit, task('b1', { gear: ['hotplate'], startedMin: 0 })])).toMatchObject([
      { by: 'a1', never: false },
    ]);
    expect(standTogether([spirit, task('b1', { gear: ['hotplate'] })])).toEqual([]);
    expect(standTogether([spirit, task('a2', { gear: ['hotplate'], startedMin: 0 })])).toEqual([]);
  });
});

describe('a wait that is looked at', () => {
  it('falls into hours in which somebody is awake', () => {
    const found = week([task('a1', { wait: 'near', waitMin: [200, 300] })]);
    // Begun at six it would last to half past eleven: the first day on which it fits begins at nine.
    expect(placedAt(found, 'a1').from).toBe(5 * DAY + 540);
    expect(placedAt(found, 'a1').unseenMin).toBe(0);
  });
  it('longer than any day stands all the same, with the minutes nobody sees', () => {
    const found = placedAt(week([task('a1', { wait: 'near', waitMin: [1000, 1800] })]), 'a1');
    expect(found.from).toBe(EVENING);
    // From 18:30 to 00:30 two days on: a night of eight hours, and of the next an hour and a half.
    expect(found.unseenMin).toBe(480 + 90);
  });
  it('that may outlast the day is begun so that somebody is awake for what it takes at least', () => {
    const found = placedAt(week([task('a1', { wait: 'near', waitMin: [300, 1200] })]), 'a1');
    expect(found.from).toBe(5 * DAY + 540);
    expect(found.unseenMin).toBeGreaterThan(0);
  });
});

describe('what would free an hour', () => {
  const plate = { gear: ['hotplate'], handsOnMin: 10, waitMin: [150, 180] as const };
  const tasks = [
    task('a1', plate),
    task('b1', { ...plate, waitMin: [150, 200] }),
    task('b2', { after: ['b1'], daylight: true }),
  ];
  const input = { tasks, free, light, home };
  it('names the second hotplate and the batch that stands in the way', () => {
    const second = week(tasks).placed.reduce((late, each) => (each.gear === 'hotplate' ? each : late));
    const found = unwrap(reliefs(input, second.id));
    expect(found.some((each) => each.by === 'second' && each.gear === 'hotplate')).toBe(true);
    expect(found.some((each) => each.by === 'without')).toBe(true);
    for (const each of found) expect(each.soonerMin).toBeGreaterThan(0);
  });
  it('names the light, and an hour more where a step just fits not', () => {
    expect(unwrap(reliefs(input, 'b2')).some(({ by }) => by === 'any light')).toBe(true);
    const long = { tasks: [task('a1', { handsOnMin: 290 })], free, light, home };
    expect(unwrap(reliefs(long, 'a1'))[0]).toMatchObject({
      by: 'longer',
      soonerMin: 5 * DAY + 540 - EVENING,
    });
    expect(reliefs(input, 'zz').ok).toBe(false);
  });
});
