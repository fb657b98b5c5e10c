import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { exactReading } from '#base/reading';
import type { EventBody } from '#run/log';
import { runState } from '#run/state';
import { eventsAt, planFor } from '#testing/shelf';
import { scaleUp } from './index.ts';

const plan = planFor('30 g zinc sulfate');
const weighed: EventBody = {
  kind: 'read',
  step: 'dry',
  quantity: 'mass',
  reading: exactReading(24, 'g'),
  place: '',
  state: 'dry',
};
const done = plan.route.steps.map(({ id }): EventBody => ({ kind: 'finished', step: id }));
const state = unwrap(
  runState(plan, eventsAt('2026-03-14T08:00:00.000Z', ...done.slice(0, -2), weighed, ...done.slice(-2))),
);

describe('a pilot made larger', () => {
  it('takes so many times as much and gives as the pilot gave', () => {
    const large = unwrap(scaleUp(plan, state, { factor: 4, batches: 1 }));
    const zinc = state.sheet.additions.find(({ role }) => role === 'zinc')!.dose.mass.value;
    expect(Number.parseFloat(large.takes[0]!.one) / zinc).toBeCloseTo(4, 0);
    expect(large.asPilot).toBeCloseTo(24 / state.sheet.product!.value, 6);
    // 4 × 30 g at the pilot's 24 of 30.
    expect(large.product!.value).toBeCloseTo(96, -1);
    expect(large.mind.join(' ')).toMatch(/Cooling takes about 2.5 times/);
    expect(large.ask).toContain('120 g');
  });

  it('has no more to mind in batches of the same size, and says what a bottle lacks', () => {
    const many = unwrap(scaleUp(plan, state, { factor: 12, batches: 12 }));
    expect(many.mind).toEqual([]);
    expect(many.handsOnH).toBeCloseTo(12 * state.sheet.hours.handsOn, 6);
    const all = unwrap(scaleUp(plan, state, { factor: 100, batches: 20 }));
    expect(all.takes.some(({ short }) => short.includes('more than was left'))).toBe(true);
  });

  it.each([
    [{ factor: 0, batches: 1 }, 'factor'],
    [{ factor: Number.NaN, batches: 1 }, 'factor'],
    [{ factor: 2, batches: 1.5 }, 'batches'],
    [{ factor: 2, batches: 0 }, 'batches'],
  ])('is refused with the field that is wrong: %o', (by, field) => {
    const answer = scaleUp(plan, state, by);
    expect(answer.ok ? '' : answer.problem.field).toBe(field);
  });
});
