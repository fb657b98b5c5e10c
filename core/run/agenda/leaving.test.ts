import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { leavingFrom, lookFirst } from '#run/agenda';
import { runState } from '#run/state';
import { done, on, START } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';

const iodine = on('iodine', '4 g iodine', {
  iodide: 'potassium iodide 99 % 100 g',
  acid: 'hydrochloric acid 10 % 500 mL',
  peroxide: 'hydrogen peroxide 3 % 500 mL',
});
const HOUR = 3_600_000;
const later = (hours: number) => new Date(Date.parse(START) + hours * HOUR).toISOString();
const state = (...bodies: Parameters<typeof eventsAt>[1][]) =>
  unwrap(runState(iodine.plan, eventsAt(START, ...bodies)));
const at = (of: ReturnType<typeof state>, hours = 3) =>
  leavingFrom([{ id: 'b1', title: 'iodine', state: of }], { now: later(0.5), back: later(0.5 + hours) });

describe('leaving', () => {
  it('asks nothing where nothing runs', () => {
    expect(at(state())).toEqual({ acts: [], min: 0, goesOn: [], due: [] });
    expect(at(state(...done('ready'))).acts).toEqual([]);
  });
  it('stops an addition that must be stayed with, and says how long that takes and what it costs', () => {
    const { acts, min } = at(state(...done('ready', 'iodide'), { kind: 'started', step: 'peroxide' }));
    expect(acts.map(({ step }) => step)).toEqual(['peroxide']);
    expect(acts[0]!.act).toMatch(/^Add no more\./);
    expect(acts[0]!.costs).not.toBe('');
    expect(min).toBe(acts[0]!.min);
  });
  it('lets what may be left go on, and covers it where one stays away too long for it', () => {
    const settles = state(...done('ready', 'iodide', 'peroxide'), { kind: 'started', step: 'settle' });
    const every = settles.steps.find(({ key }) => key === 'settle')!.leave.lookEveryMin;
    expect(at(settles, 0.1).goesOn).toHaveLength(1);
    if (every !== null) expect(at(settles, (3 * every) / 60).acts.map(({ step }) => step)).toEqual(['settle']);
  });
  it('asks first for what should follow sooner than one is back', () => {
    const alum = on('alum-recrystallised', '40 g potassium alum', { crude: 'potassium alum 98 % 500 g' });
    const warm = unwrap(runState(alum.plan, eventsAt(START, ...done('crude', 'water', 'heat'))));
    const leave = (hours: number) =>
      leavingFrom([{ id: 'b1', title: 'alum', state: warm }], { now: later(0.05), back: later(0.05 + hours) });
    expect(leave(2).acts).toMatchObject([
      {
        step: 'filter',
        act: 'Do it before you go: it should follow within 10 min.',
        min: 10,
        costs: 'Left until you are back: cold, it crystallises in the filter.',
      },
    ]);
    expect(leave(0.05).acts).toEqual([]);
  });
  it('says of a still how much more comes over, and how long it took to boil', () => {
    const acid = on('constant-boiling-acid', '300 g hydrochloric acid', { acid: 'hydrochloric acid 28 % 5 L' });
    const charged = [
      ...done('ready'),
      acid.added('water', 'water', 250, 'mL'),
      ...done('water'),
      acid.added('acid', 'acid', 450),
      ...done('acid', 'still'),
    ];
    const at20 = (bodies: Parameters<typeof eventsAt>[1][]) => eventsAt(later(20 / 60), ...bodies);
    const events = [
      ...eventsAt(START, ...charged, { kind: 'started', step: 'boil' }),
      ...at20([
        { kind: 'finished', step: 'boil' },
        { kind: 'started', step: 'fore-run' },
      ]).map((each, i) => ({ ...each, id: `ev_later000${i}` })),
    ];
    const still = unwrap(runState(acid.plan, events));
    const { acts } = leavingFrom([{ id: 'b1', title: 'acid', state: still }], { now: later(0.5), back: later(3) });
    // Some hundred mL in the hours of the cut: a few mL in three minutes.
    expect(acts[0]!.act).toMatch(/about 3 min, with about \d+ mL more:/);
    expect(acts[0]!.costs).toMatch(/^About (1\d|20) min to bring it to the boil again/);
  });
  it('says what falls due meanwhile, and on coming back what was missed comes first', () => {
    const timed = state(
      ...done('ready', 'iodide', 'peroxide'),
      { kind: 'started', step: 'settle' },
      { kind: 'timer-set', step: 'settle', timer: 'timer_one', name: 'look at it', minutes: 60 },
    );
    expect(at(timed, 3).due.map(({ act }) => act)).toEqual(['look at it']);
    expect(at(timed, 0.2).due).toEqual([]);
    const [first] = lookFirst([{ id: 'b1', title: 'iodine', state: timed }], { left: later(0.5), now: later(3) });
    expect(first).toMatchObject({ act: 'look at it', missed: true });
  });
});
