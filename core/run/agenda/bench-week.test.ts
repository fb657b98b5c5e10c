import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { benchWeek, type OnBench } from '#run/agenda';
import { runState } from '#run/state';
import { NO_CHOICES, type WeekChoices } from '#run/week';
import { done, on, START } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';

const iodine = on('iodine', '4 g iodine', {
  iodide: 'potassium iodide 99 % 100 g',
  acid: 'hydrochloric acid 10 % 500 mL',
  peroxide: 'hydrogen peroxide 3 % 500 mL',
});
const from = Date.parse(START);
const HOUR = 3_600_000;
const later = (hours: number) => new Date(from + hours * HOUR).toISOString();
const batch = (id: string, vessel: string | null, begun = false) => {
  const state = unwrap(runState(iodine.plan, begun ? eventsAt(START, ...done('ready')) : []));
  return { id, title: id, state: { steps: state.steps, status: state.status, vessel }, paces: {} };
};
const week = (bench: Partial<OnBench>, choices: Partial<WeekChoices> = {}) =>
  benchWeek(
    { batches: [], due: [], unbottled: [], ...bench },
    { from, now: from, roomC: 20, choices: { ...NO_CHOICES, ...choices } },
  );

describe('what a week is planned from', () => {
  it('lets a plan wait for the vessel that another batch stands in, and only for that', () => {
    const both = week({ batches: [batch('a', '1 L beaker', true), batch('b', '1 L beaker')] });
    const first = both.find(({ batch: of }) => of === 'b')!;
    expect(first.after).toHaveLength(1);
    expect(first.after[0]).toMatch(/^a /);
    expect(
      week({ batches: [batch('a', '1 L beaker', true), batch('b', '2 L jar')] }).find(({ batch: of }) => of === 'b')!
        .after,
    ).toEqual([]);
    expect(
      week({ batches: [batch('a', null, true), batch('b', null)] }).find(({ batch: of }) => of === 'b')!.after,
    ).toEqual([]);
  });

  it('leaves out plans that are not for these days, and never what runs', () => {
    const all = week({ batches: [batch('a', null, true), batch('b', null)] }, { out: ['a', 'b'] });
    expect(new Set(all.map(({ batch: of }) => of))).toEqual(new Set(['a']));
  });

  it('wants the last step of a batch over when the batch is wanted', () => {
    const all = week({ batches: [batch('a', null)] }, { wanted: { a: later(50) } });
    expect(all.filter(({ byMin }) => byMin !== undefined).map(({ byMin }) => byMin)).toEqual([3000]);
  });

  it('puts a step where it was put by hand, until that is past', () => {
    const [first] = week({ batches: [batch('a', null)] });
    expect(week({ batches: [batch('a', null)] }, { pins: { [first!.id]: later(5) } })[0]!.pinnedMin).toBe(300);
    expect(week({ batches: [batch('a', null)] }, { pins: { [first!.id]: later(-5) } })[0]!.pinnedMin).toBeUndefined();
  });

  it('has assays by the day they are due, late ones too, and bottles that are to be filled', () => {
    const all = week({
      due: [
        { bottleId: 'x', name: 'Halo', days: -9 },
        { bottleId: 'y', name: 'Moor', days: 2.4 },
      ],
      unbottled: [{ id: 'z', title: 'alum' }],
    });
    expect(all.map(({ title, byMin }) => [title, byMin])).toEqual([
      ['Find the strength of Halo', -8 * 1440],
      ['Find the strength of Moor', 3 * 1440],
      ['Bottle and label alum', undefined],
    ]);
    expect(week({ due: [{ bottleId: 'x', name: 'Halo', days: 1 }] }, { out: ['assay x'] })).toEqual([]);
  });
});
