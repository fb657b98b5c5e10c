import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { tasksOf } from '#run/agenda';
import { catalogue } from '#run/route';
import { runState } from '#run/state';
import { planForRoute } from '#testing/catalogue';
import { START } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';

const from = Date.parse(START);
const route = (id: string) => {
  const found = catalogue.find((each) => each.id === id);
  if (!found) throw new Error(`no route ${id}`);
  return planForRoute(found);
};
const tasks = (id: string, ...bodies: Parameters<typeof eventsAt>[1][]) =>
  tasksOf('b1', unwrap(runState(route(id), eventsAt(START, ...bodies))), { from, now: from });
const soon = (id: string) =>
  Object.fromEntries(tasks(id).flatMap(({ step, withinMin }) => (withinMin === undefined ? [] : [[step, withinMin]])));

describe('how soon a step must follow', () => {
  it('is minutes for what is filtered hot, an hour for a cake to be washed, half a day for what lies wet', () => {
    expect(soon('alum-recrystallised')).toMatchObject({ filter: 10, dry: 720 });
    expect(soon('zinc-carbonate')).toMatchObject({ wash: 60, dry: 720 });
    // Crystals in their liquor may wait.
    expect(soon('zinc-sulfate')).not.toHaveProperty('collect');
  });

  it('is at once behind a still or gas that is going, and soon for a generator that is charged', () => {
    const still = tasks('ethyl-acetate').filter(({ withinMin }) => withinMin === 5);
    expect(still.map(({ title }) => title.split(':')[0])).toEqual([
      'Distil',
      'Distil',
      'Heat off; cool, weigh, book every receiver',
    ]);
    const gas = tasks('hypochlorite-by-chlorine');
    const absorb = gas.findIndex(({ title }) => title.startsWith('Drip'));
    expect(gas[absorb]).toMatchObject({ withinMin: 60, soon: 'a charged generator is not left standing' });
    expect(gas[absorb + 1]).toMatchObject({ withinMin: 5 });
  });

  it('counts from the end of what went before, where that is done', () => {
    const steps = tasks('alum-recrystallised').map(({ step }) => step);
    const before = steps.slice(0, steps.indexOf('filter'));
    const filter = tasks('alum-recrystallised', ...before.map((step) => ({ kind: 'finished', step }) as const)).find(
      ({ step }) => step === 'filter',
    );
    expect(filter?.withinMin).toBeUndefined();
    const handsOn = (filter?.handsOnMin ?? 0) + (filter?.waitMin[1] ?? 0);
    // The entries are a minute apart from the start on.
    expect(filter?.byMin).toBeGreaterThanOrEqual(10 + handsOn);
    expect(filter?.byMin).toBeLessThanOrEqual(10 + handsOn + 60 * before.length);
  });

  it('says nothing of what was skipped, or is under way', () => {
    const skipped = tasks('alum-recrystallised', { kind: 'step-skipped', step: 'heat', reason: 'clear already' });
    expect(skipped.find(({ step }) => step === 'filter')).toMatchObject({ soon: '' });
    expect(skipped.find(({ step }) => step === 'filter')?.withinMin).toBeUndefined();
  });
});
