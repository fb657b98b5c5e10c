import { describe, expect, it } from 'vitest';
import { unwrap } from '#core/problem';
import { catalogue } from '#core/route';
import { tasksOf } from '#core/state';
import { placeWeek } from '#core/week';
import { planForRoute } from '#testing/catalogue';
import { done, on, START } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';

const iodine = on('iodine', '4 g iodine', {
  iodide: 'potassium iodide 99 % 100 g',
  acid: 'hydrochloric acid 10 % 500 mL',
  peroxide: 'hydrogen peroxide 3 % 500 mL',
});
const from = Date.parse(START);
const tasks = (...bodies: Parameters<typeof eventsAt>[1][]) =>
  unwrap(tasksOf('b1', { plan: iodine.plan, events: eventsAt(START, ...bodies) }, from));

describe('the steps of a run as the week sees them', () => {
  it('are those still to come, each after the one before it', () => {
    const all = tasks();
    expect(all).toHaveLength(iodine.plan.route.steps.length);
    const rest = tasks(...done('ready', 'iodide'));
    expect(rest).toHaveLength(all.length - 2);
    // What is done is waited for by nothing.
    expect(rest[0]!.after).toEqual([]);
    expect(rest[1]!.after).toEqual([rest[0]!.id]);
  });

  it('want daylight outdoors, and someone by what may not be left', () => {
    const peroxide = tasks().find(({ id }) => id === 'b1 peroxide')!;
    expect(peroxide).toMatchObject({ daylight: true, wait: 'stay', handsOnMin: 25 });
    expect(tasks().find(({ id }) => id === 'b1 settle')).toMatchObject({ wait: 'alone', daylight: false });
  });

  it('keep the place of what has begun', () => {
    const begun = tasks(...done('ready'), { kind: 'started', step: 'iodide' });
    expect(begun[0]!.startedMin).toBeGreaterThanOrEqual(0);
  });

  it('of every route can be placed in a fortnight of whole days', () => {
    const days = Array.from({ length: 14 }, (_, day): [number, number] => [day * 1440, day * 1440 + 1440]);
    for (const route of catalogue) {
      const found = unwrap(tasksOf('b1', { plan: planForRoute(route), events: [] }, from));
      const week = placeWeek({ tasks: found, free: [[0, 20_160]], light: days });
      expect(week.ok ? '' : week.problem.message, route.id).toBe('');
      if (week.ok) expect(week.value.placed.length + week.value.left.length).toBe(found.length);
    }
  });
});
