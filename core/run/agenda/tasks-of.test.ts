import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { tasksOf } from '#run/agenda';
import { catalogue } from '#run/route';
import { runState } from '#run/state';
import { placeWeek } from '#run/week';
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
  tasksOf('b1', unwrap(runState(iodine.plan, eventsAt(START, ...bodies))), { from, now: from });

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

  it('are over no sooner than now where they are under way, however late that is', () => {
    const state = unwrap(runState(iodine.plan, eventsAt(START, ...done('ready'), { kind: 'started', step: 'iodide' })));
    const [first] = tasksOf('b1', state, { from, now: from + 300 * 60_000 });
    expect(first!.startedMin! + first!.handsOnMin + first!.waitMin[0]).toBeGreaterThanOrEqual(300 - 1e-6);
    // Two days on, the model's hours are over: as long as the route says it may still last.
    const settles = unwrap(
      runState(
        iodine.plan,
        eventsAt(START, ...done('ready', 'iodide', 'peroxide'), { kind: 'started', step: 'settle' }),
      ),
    );
    const settle = tasksOf('b1', settles, { from, now: from + 2880 * 60_000 }).find(({ step }) => step === 'settle');
    expect(settle!.waitMin[1]).toBeGreaterThanOrEqual(settle!.waitMin[0]);
    expect(settle!.startedMin! + settle!.handsOnMin + settle!.waitMin[0]).toBeGreaterThanOrEqual(2880 - 1e-6);
  });

  it('take their times from this bench’s own runs, where there are two and nobody forgot to end them', () => {
    const state = unwrap(runState(iodine.plan, []));
    const peroxide = (...own: number[]) =>
      tasksOf('b1', state, { from, now: from, paces: { peroxide: own } }).find(({ step }) => step === 'peroxide')!;
    expect(peroxide(50).ownRuns).toBe(0);
    const own = peroxide(50, 62);
    expect([own.ownRuns, own.handsOnMin + own.waitMin[0], own.handsOnMin + own.waitMin[1]]).toEqual([2, 50, 62]);
    expect(peroxide(50, 62, 5000).ownRuns).toBe(2);
    // What may be left is over when somebody came back: that says nothing of it.
    const settle = tasksOf('b1', state, { from, now: from, paces: { settle: [50, 60] } }).find(
      ({ step }) => step === 'settle',
    );
    expect(settle!.ownRuns).toBe(0);
  });

  it('stand in the fridge box where they are kept much colder than the room, and in a dish for days', () => {
    const of = (id: string, roomC: number) =>
      tasksOf('b2', unwrap(runState(planForRoute(catalogue.find((each) => each.id === id)!), [])), {
        from,
        now: from,
        roomC,
      });
    const gear = (id: string, roomC: number) =>
      of(id, roomC).flatMap(({ step, gear: held }) => (held.length > 0 ? [`${step}: ${held.join(', ')}`] : []));
    expect(gear('zinc-sulfate', 20)).toContain('cool: fridge box');
    // In a shed that is as cold as that it needs none.
    expect(gear('zinc-sulfate', 6)).not.toContain('cool: fridge box');
    expect(gear('zinc-sulfate', 20)).toContain('grow: wide dish');
  });

  it('want no frost round a condenser outdoors, and no heat round what must stay cool', () => {
    const airs = (id: string) =>
      tasksOf('b2', unwrap(runState(planForRoute(catalogue.find((each) => each.id === id)!), [])), {
        from,
        now: from,
      }).flatMap(({ airC }) => (airC ? [airC] : []));
    expect(airs('hypochlorite-by-chlorine')).toContainEqual([-60, 25]);
    expect(airs('zinc-sulfate')).toEqual([]);
  });

  it('keep the hours that a model computes from their amounts: another amount took another time', () => {
    const zinc = unwrap(runState(planForRoute(catalogue.find(({ id }) => id === 'zinc-sulfate')!), []));
    const boil = (own: readonly number[]) =>
      tasksOf('b2', zinc, { from, now: from, paces: { 'boil-down': own } }).find(({ step }) => step === 'boil-down')!;
    expect(zinc.steps.find(({ key }) => key === 'boil-down')!.modelled).toBe(true);
    expect(boil([200, 240])).toEqual(boil([]));
  });

  it('say what they give into the air', () => {
    const zinc = unwrap(runState(planForRoute(catalogue.find(({ id }) => id === 'zinc-sulfate')!), []));
    const dissolves = tasksOf('b2', zinc, { from, now: from }).find(({ gives }) => gives?.includes('what burns'));
    expect(dissolves?.shuns).toContain('a flame');
  });

  it('of every route can be placed in a fortnight of whole days', () => {
    const days = Array.from({ length: 14 }, (_, day): [number, number] => [day * 1440, day * 1440 + 1440]);
    for (const route of catalogue) {
      const found = tasksOf('b1', unwrap(runState(planForRoute(route), [])), { from, now: from });
      const week = placeWeek({ tasks: found, free: [[0, 20_160]], light: days });
      expect(week.ok ? '' : week.problem.message, route.id).toBe('');
      if (week.ok) expect(week.value.placed.length + week.value.left.length).toBe(found.length);
    }
  });
});
