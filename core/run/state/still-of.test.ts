import { describe, expect, it } from 'vitest';
import { must } from '#base/lookup';
import { unwrap } from '#base/problem';
import { exactReading } from '#base/reading';
import { between, chargedOf, still as distil } from '#model/still';
import type { RunEvent } from '#run/log';
import type { Plan } from '#run/plan';
import { catalogue } from '#run/route';
import {
  stillBalance as balanceIn,
  fractionsOf as fractionsIn,
  type RunState,
  runState,
  shelveFraction,
  stillAt,
  stillsOf,
} from '#run/state';
import { planForRoute } from '#testing/catalogue';
import { done, on, read, START } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';

const acid = on('constant-boiling-acid', '300 g hydrochloric acid', { acid: 'hydrochloric acid 28 % 5 L' });
const { plan, added } = acid;
const charged = [
  ...done('ready'),
  added('water', 'water', 250, 'mL'),
  ...done('water'),
  added('acid', 'acid', 450),
  ...done('acid', 'still', 'boil'),
];
const head = (step: string, value: number) => ({ ...read(step, 'temperature', value, '°C'), place: 'head' });
const events = (...bodies: Parameters<typeof eventsAt>[1][]) => eventsAt(START, ...bodies);
const stillOf = (of: Plan, all: readonly RunEvent[]) => {
  const found = stillsOf(of, all);
  return found.ok ? { ok: true as const, value: stillAt(found.value) } : found;
};
const still = () => must(unwrap(stillOf(plan, events(...charged))), 'still');
const fractionsOf = (state: RunState) => fractionsIn(state, still());
const stillBalance = (state: RunState) => balanceIn(state, still());
const STEPS = ['fore-run', 'weak', 'constant'];

describe('what of a run is distilled', () => {
  it('is the flask as it was charged, and its cuts as they are planned', () => {
    const found = unwrap(stillOf(plan, events(...charged)))!;
    // 450 g of 28 % in 700 g.
    expect(found.asked.pct).toBeCloseTo(18, 0);
    expect(found.asked.grams).toBeCloseTo(700, -1);
    expect(found.cuts.map(({ step }) => step)).toEqual(STEPS);
    expect(found.kept).toBe('receiver 3');
    for (const [i, { toMl }] of found.cuts.entries()) if (i > 0) expect(toMl).toBeGreaterThan(found.cuts[i - 1]!.toMl);
  });

  it('stays as it was charged while it goes over, and keeps what was read of it by hand', () => {
    const bodies = [
      ...charged,
      head('fore-run', 107.4),
      read('fore-run', 'volume', 60, 'mL'),
      ...done('fore-run'),
      head('weak', 107.9),
      read('weak', 'volume', 30, 'mL'),
    ];
    const found = unwrap(stillOf(plan, events(...bodies)))!;
    expect(found.asked.grams).toBeCloseTo(700, -1);
    expect(found.firstDropAt).not.toBeNull();
    expect(found.readings.flatMap(({ overMl }) => overMl ?? [])).toEqual([60, 90]);
    expect(found.readings.flatMap(({ headC }) => headC ?? [])).toEqual([107.4, 107.9]);
    expect(found.cuts[0]).toMatchObject({ status: 'done' });
    expect(found.cuts[0]!.toMl).toBeCloseTo(60, 0);
  });

  it('is nothing in a run that boils nothing, or before anything is planned to', () => {
    const dilute = on('acid-dilution', '1 L of 1 mol/L hydrochloric acid', { acid: 'hydrochloric acid 28 % 5 L' }).plan;
    expect(unwrap(stillOf(dilute, []))).toBeNull();
    expect(unwrap(stillOf(plan, []))!.readings).toEqual([]);
  });
});

describe('fractions', () => {
  const over = [
    ...charged,
    read('fore-run', 'mass', 65, 'g'),
    ...done('fore-run'),
    read('weak', 'mass', 160, 'g'),
    ...done('weak'),
    read('constant', 'mass', 330, 'g'),
    ...done('constant', 'stop'),
  ];
  const state = unwrap(runState(plan, events(...over)));

  it('stand by receiver with what they weigh and hold, and close to all that was charged', () => {
    const found = fractionsOf(state);
    expect(found.map(({ vessel }) => vessel)).toEqual(['receiver 1', 'receiver 2', 'receiver 3']);
    expect(found[2]!.grams).toBeCloseTo(330, 0);
    expect(found[0]!.pct.value).toBeLessThan(found[1]!.pct.value);
    expect(found[2]!.pct.value).toBeCloseTo(19.5, 0);
    const balance = stillBalance(state)!;
    expect(balance.parts.reduce((sum, { pct }) => sum + pct, 0)).toBeCloseTo(100, 6);
    expect(balance.chargedG).toBeCloseTo(126, 0);
    expect(found.reduce((sum, { recoveryPct }) => sum + recoveryPct, 0)).toBeLessThan(100);
  });

  it('measured say so, and the yield goes by what was measured', () => {
    const measured = unwrap(
      runState(
        plan,
        events(...over, {
          kind: 'read',
          step: 'constant',
          quantity: 'strength',
          reading: exactReading(20.2, '%'),
          place: '',
        }),
      ),
    );
    const last = fractionsOf(measured)[2]!;
    expect(last.measured).toBe(true);
    expect(last.pct.value).toBeCloseTo(20.2, 6);
    expect(measured.yield!.yieldPct.value).toBeCloseTo((100 * 0.202 * 330) / 126, 0);
    expect(measured.sheet.figures['product.pct']!.value).toBeCloseTo(20.2, 1);
  });

  it('go to the shelf each as itself, and the product’s own bottle is none of them', () => {
    const [, weak] = fractionsOf(state);
    const contents = state.sheet.now!.vessels['receiver 2']!;
    const entry = shelveFraction(weak!, contents, {
      batch: { id: 'batch_one001', number: 3 },
      bottleId: 'bottle_weak01',
      today: '2026-03-14',
      title: 'Batch 3',
    });
    const { card } = entry as Extract<typeof entry, { kind: 'bottled' }>;
    expect(card).toMatchObject({
      substanceId: 'hydrochloric-acid',
      fromBatch: 'batch_one001',
      assayed: false,
      group: 'made',
    });
    expect(card!.strength!.value).toBeCloseTo(weak!.pct.value, 1);
    expect(card!.size!.value).toBeCloseTo(160, 0);
    const after = unwrap(runState(plan, events(...over, entry)));
    expect(fractionsOf(after)[1]!.bottleId).toBe('bottle_weak01');
    expect(after.bottles).toEqual([]);
  });
});

describe('two distillations in one run', () => {
  const route = must(
    catalogue.find(({ id }) => id === 'ethyl-salicylate'),
    'route',
  );
  const ester = planForRoute(route);
  const steps = route.steps.map(({ id }) => id);
  const until = (last: string) => done(...steps.slice(0, steps.indexOf(last)));

  it('are told apart: each its own charge, course, receivers and balance', () => {
    const stills = unwrap(stillsOf(ester, events(...until('heart'))));
    expect(stills.map(({ cuts }) => cuts.map(({ step }) => step))).toEqual([['strip'], ['fore-run', 'heart']]);
    const [strip, heart] = stills;
    expect(strip!.flask).toBe('pot');
    expect(heart!.flask).toBe('jar');
    expect(strip!.volatile).not.toBe(heart!.volatile);
    // Each begins at nothing over.
    expect(heart!.cuts[0]!.toMl).toBeLessThan(strip!.cuts[0]!.toMl);
    for (const { cuts } of stills)
      for (const { toMl, headC, potC } of cuts) {
        expect(toMl).toBeGreaterThanOrEqual(0);
        expect(headC).toBeGreaterThan(20);
        expect(potC).toBeGreaterThan(headC - 1);
        expect(potC).toBeLessThan(260);
      }
    expect(stillAt(stills, 'strip')).toBe(strip);
    expect(stillAt(stills, 'heart')).toBe(heart);
    // Where one stands without saying: the one that is on.
    expect(stillAt(stills)).toBe(heart);
    const state = unwrap(runState(ester, events(...until('stop'))));
    for (const each of unwrap(stillsOf(ester, events(...until('stop'))))) {
      const balance = must(balanceIn(state, each), 'balance');
      expect(balance.parts.reduce((sum, { pct }) => sum + pct, 0)).toBeCloseTo(100, 6);
      const found = fractionsIn(state, each);
      expect(found.map(({ step }) => step)).toEqual(each.cuts.map(({ step }) => step));
      expect(found.reduce((sum, { recoveryPct }) => sum + recoveryPct, 0)).toBeLessThanOrEqual(100.001);
    }
    const product = fractionsIn(
      state,
      must(stillAt(unwrap(stillsOf(ester, events(...until('stop')))), 'heart'), 'heart'),
    );
    expect(product.at(-1)!.pct.value).toBeGreaterThan(80);
  });

  it('tells each receiver by what counts in it, also where that boils higher than the other', () => {
    const heart = must(stillAt(unwrap(stillsOf(ester, events(...until('fore-run')))), 'heart'), 'heart');
    const { points } = unwrap(distil(heart.asked));
    const holds = between(points, [heart.cuts[0]!.toMl, heart.cuts[1]!.toMl], chargedOf(heart.asked, heart.volatile));
    // Nearly pure ester, and nearly all of it: 44 of 49 mL.
    expect(holds.pct).toBeGreaterThan(99);
    expect(holds.recoveryPct).toBeGreaterThan(80);
    expect(holds.recoveryPct).toBeLessThan(100);
  });

  it('has the ester of its own flask alone in the balance', () => {
    const all = events(...until('stop'));
    const heart = must(stillAt(unwrap(stillsOf(ester, all)), 'heart'), 'heart');
    const balance = must(balanceIn(unwrap(runState(ester, all)), heart), 'balance');
    const isFirst = heart.asked.first === heart.volatile;
    const pct = isFirst ? heart.asked.pct : 100 - heart.asked.pct;
    // Beside salts and water, which are no part of the pair that boils.
    expect(balance.chargedG).toBeGreaterThan(0.95 * ((heart.asked.grams * pct) / 100));
    expect(balance.chargedG).toBeLessThan(1.01 * ((heart.asked.grams * pct) / 100));
  });
});

describe('a volume that is read while a receiver fills', () => {
  it('is where it is, and not where the receiver is changed', () => {
    const before = unwrap(stillOf(plan, events(...charged)))!.cuts.map(({ toMl }) => toMl);
    const during = [...charged, read('fore-run', 'volume', 20, 'mL')];
    expect(unwrap(stillOf(plan, events(...during)))!.cuts[0]!.toMl).toBeCloseTo(before[0]!, 3);
    const ended = unwrap(stillOf(plan, events(...during, ...done('fore-run'))))!;
    expect(ended.cuts[0]!.toMl).toBeCloseTo(20, 0);
    const past = unwrap(stillOf(plan, events(...charged, read('fore-run', 'volume', before[0]! + 15, 'mL'))))!;
    expect(past.cuts[0]!.toMl).toBeCloseTo(before[0]! + 15, 0);
  });
});
