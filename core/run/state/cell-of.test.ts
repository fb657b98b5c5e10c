import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { FARADAY } from '#model/cell';
import type { EventBody, RunEvent } from '#run/log';
import { type CellShown, cellEfficiency, cellOf, runState } from '#run/state';
import { done, on, read, START } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';

const epsom = 'magnesium sulfate heptahydrate 99% 2 kg';
const { plan, added } = on('copper-sulfate-by-cell', '45 g copper sulfate', {
  salt: epsom,
  'pot-salt': epsom,
  strap: 'copper 99% 500 g',
});
const START_MS = Date.parse(START);
const at = (hours: number) => new Date(START_MS + hours * 3_600_000).toISOString();

const filled: EventBody[] = [
  added('salt', 'salt', 72.4),
  ...done('salt'),
  added('jar-water', 'jar-water', 326, 'mL'),
  ...done('jar-water', 'pot-ready'),
  added('pot-salt', 'pot-salt', 48.2),
  ...done('pot-salt'),
  added('pot-water', 'pot-water', 193, 'mL'),
  ...done('pot-water'),
  added('strap', 'strap', 32.9),
  ...done('strap', 'connect'),
];

/** Entries of the run itself, each at its hour. */
function running(...entries: readonly (readonly [hours: number, body: EventBody])[]): RunEvent[] {
  const before = eventsAt(START, ...filled);
  const after = entries.map(([hours, body], i): RunEvent => {
    const when = at(hours);
    return {
      ...before[0]!,
      id: `ev_run${String(i).padStart(6, '0')}`,
      body,
      happened: { at: when, giveOrTakeMin: 0 },
      writtenAt: when,
    };
  });
  return [...before.map((each) => ({ ...each, happened: { at: START, giveOrTakeMin: 0 } })), ...after];
}
const on_ = [0, { kind: 'started', step: 'run' }] as const;
const look = (hours: number, volts: number, amps: number) =>
  [
    [hours, read('run', 'voltage', volts, 'V')],
    [hours, read('run', 'current', amps, 'A')],
  ] as const;
const watch = (events: RunEvent[], hours: number, more: { shown?: readonly CellShown[]; ifAmps?: number } = {}) =>
  unwrap(cellOf(plan, events, { step: 'run', now: at(hours), shown: more.shown ?? [], ifAmps: more.ifAmps ?? null }))!;

describe('the cell of a run', () => {
  it('counts a look at once, whatever second of the minute it was entered in, and its readings as one', () => {
    for (const second of [0, 15, 29, 30, 31, 45, 59]) {
      const when = 2 + second / 3600;
      const events = running(
        on_,
        [when, read('run', 'voltage', 4, 'V')],
        [when + 20 / 3600, read('run', 'current', 0.5, 'A')],
      );
      const { watch: seen } = watch(events, when + 20 / 3600);
      expect(seen.passed?.ampHours).toBeCloseTo(0.5 * (when + 20 / 3600), 2);
      expect([seen.volts, seen.amps]).toEqual([4, 0.5]);
      expect(seen.drops).not.toBeNull();
    }
  });

  it('before anything was read says so, and promises no time', () => {
    const { watch: seen } = watch(running(on_), 1);
    expect(seen.passed).toBeNull();
    expect(seen.progress).toBeNull();
    expect(seen.leftAlone).toBeNull();
    expect(seen.causes).toEqual([]);
    expect(seen.look.because).toMatch(/nothing was read/);
  });

  it('counts what has passed, and tells when it is done', () => {
    const { watch: seen } = watch(running(on_, ...look(0.1, 5, 0.4), ...look(10, 5, 0.4)), 10);
    expect(seen.passed!.ampHours).toBeCloseTo(4, 1);
    const need = seen.progress!.neededAh.value;
    expect(seen.progress!.byCharge.value).toBeCloseTo((100 * 4) / need, 0);
    const done = (seen.leftAlone!.doneAt! - START_MS) / 3_600_000;
    expect(done).toBeGreaterThan(need / 0.4 - 1);
    expect(seen.leftAlone!.earliest!).toBeLessThan(seen.leftAlone!.doneAt!);
    const jar = seen.sides.find(({ side }) => side === 'anode')!;
    // 4 A·h give at most 0.0746 mol of copper into the jar.
    const mol = jar.dissolved.find(({ id }) => id === 'copper-sulfate')!.grams / 159.6;
    expect(mol).toBeLessThan((4 * 3600) / (2 * FARADAY));
    expect(mol).toBeGreaterThan((0.75 * 4 * 3600) / (2 * FARADAY));
    expect(seen.anodeG!.left).toBeLessThan(seen.anodeG!.was);
  });

  it('asks for salt before the pot runs short, from its own bottle', () => {
    const found = watch(running(on_, ...look(0.1, 6, 0.4), ...look(24, 6, 0.4)), 24);
    expect(found.watch.topUp).toMatchObject({ side: 'cathode', substanceId: 'magnesium-sulfate' });
    expect(found.topUp!.bottleId).toBe(plan.bottles['pot-salt']);
    expect(found.topUp!.grams).toBeGreaterThan(5);
    // What was put in is there: it is not asked for again.
    const put: EventBody = {
      kind: 'added',
      step: 'run',
      role: null,
      bottleId: plan.bottles['pot-salt']!,
      reading: { is: 'exact', value: { typed: '40', value: 40, unit: 'g' } } as never,
      reason: '',
      in: 'cathode side',
    };
    const body = { ...put, reading: (read('run', 'mass', 40, 'g') as { reading: unknown }).reading } as EventBody;
    const topped = watch(running(on_, ...look(0.1, 6, 0.4), ...look(24, 6, 0.4), [24, body]), 24.1);
    expect(topped.watch.topUp).toBeNull();
    const pot = (each: typeof found) => each.watch.sides.find(({ side }) => side === 'cathode')!.dissolved[0]!.molPerL;
    expect(pot(topped)).toBeGreaterThan(pot(found));
  });

  it('finds causes of a fallen current, and a probe decides', () => {
    const events = running(on_, ...look(0.2, 4, 0.4), ...look(16, 4, 0.28));
    const { watch: seen } = watch(events, 16);
    expect(seen.causes.length).toBeGreaterThan(3);
    expect(seen.wallV).toBeGreaterThan(0);
    const wall = seen.causes.find(({ id }) => id === 'wall')!;
    const read16: readonly [number, EventBody] = [16, read('run', 'wall', wall.wallV![0] + 0.4, 'V')];
    const after = watch(running(on_, ...look(0.2, 4, 0.4), ...look(16, 4, 0.28), read16), 16.1).watch;
    expect(after.causes[0]!.id).toBe('wall');
    expect(after.wallV).toBeCloseTo(wall.wallV![0] + 0.4, 6);
  });

  it('sets what is seen beside the charge, and learns the efficiency', () => {
    const base = [on_, ...look(0.1, 5, 0.4), ...look(20, 5, 0.4)] as const;
    const jar = 398;
    const pctFor = (mol: number) => (100 * mol * 159.6) / jar;
    const made = ((20 * 0.4 * 3600) / (2 * FARADAY)) * 0.86;
    const agrees = watch(running(...base, [20, read('run', 'strength', pctFor(made), '%')]), 20).watch;
    expect(agrees.progress!.agree).toBe(true);
    expect(agrees.efficiency.from).toBe('this cell');
    const half = watch(running(...base, [20, read('run', 'strength', pctFor(0.4 * made), '%')]), 20).watch;
    expect(half.progress!.agree).toBe(false);
    expect(half.efficiency.value).toBeLessThan(agrees.efficiency.value);
  });

  it('shows its efficiency to the next plan by what was measured, never by a look', () => {
    const jar = 398;
    const mol = ((20 * 0.4 * 3600) / (2 * FARADAY)) * 0.8;
    const base = [on_, ...look(0.1, 5, 0.4), ...look(20, 5, 0.4), ...look(30, 5, 0.4)] as const;
    const shown = (...more: readonly (readonly [number, EventBody])[]) =>
      cellEfficiency(plan, running(...base, ...more), { step: 'run', now: at(30) });
    expect(shown()).toBeNull();
    const strength = [20, read('run', 'strength', (100 * mol * 159.6) / jar, '%')] as const;
    // 80 % by what was put in; the jar’s salt weighs a little beside its water.
    expect(shown(strength)!).toBeGreaterThan(76);
    expect(shown(strength)!).toBeLessThan(84);
    // A meter read at the end does not stand for the charge of ten hours before.
    const metered = shown(strength, [30, read('run', 'charge', 12, 'A·h')])!;
    expect(metered).toBeCloseTo(shown(strength)!, 6);
    const enough: EventBody = {
      kind: 'read',
      step: 'run',
      quantity: 'sight',
      place: '',
      reading: { is: 'sight', text: 'as it should be', enough: true },
    };
    expect(shown([20, enough])).toBeNull();
  });

  it('counts what was entered since its clock last ticked', () => {
    const { watch: seen, now } = watch(running(on_, ...look(0.1, 5, 0.4), ...look(3, 4.8, 0.38)), 2.99);
    expect(seen.amps).toBe(0.38);
    expect(now).toBe(Date.parse(at(3)));
  });

  it('does nothing with readings before the current was on, and with a current of 0 sees no end', () => {
    const { watch: seen } = watch(running(on_, ...look(-2, 5, 0.4), ...look(1, 5, 0)), 2);
    expect(seen.amps).toBe(0);
    expect(seen.progress!.hours).toBeNull();
    expect(Number.isFinite(seen.passed!.ampHours)).toBe(true);
    expect(seen.passed!.ampHours).toBeLessThan(0.3);
  });

  it('goes by instruments that run faster than the clock', () => {
    const shown = Array.from({ length: 40 }, (_, i) => ({
      at: at(i / 60),
      seconds: i * 3600,
      volts: 5,
      amps: 0.4,
      tempC: 24,
    }));
    const found = watch(running(on_), 40 / 60, { shown, ifAmps: 0.2 });
    expect(found.watch.passed!.ampHours).toBeCloseTo(39 * 0.4, 1);
    expect(found.watch.ifHeld!.points[0]!.amps).toBeCloseTo(0.2, 2);
    expect(found.now - found.from!).toBeCloseTo(39 * 3_600_000, -3);
  });

  it('is none where nothing was filled in', () => {
    expect(cellOf(plan, eventsAt(START), { step: 'salt', now: START, shown: [], ifAmps: null })).toEqual({
      ok: true,
      value: null,
    });
  });
});

describe('a run with a cell in it', () => {
  it('comes to what its meter counted, and to a yield', () => {
    const charge = read('run', 'charge', 9, 'A·h');
    const state = unwrap(runState(plan, running(on_, [22, charge], [22, { kind: 'finished', step: 'run' }])));
    const mol = state.sheet.now!.vessels.pot!.aqueous['copper-sulfate']!.value;
    expect(mol).toBeGreaterThan((0.75 * 9 * 3600) / (2 * FARADAY));
    expect(mol).toBeLessThan((9 * 3600) / (2 * FARADAY));
    expect(state.sheet.now!.vessels['cathode side']!.solid['magnesium-hydroxide']!.value).toBeGreaterThan(0.1);
  });
});
