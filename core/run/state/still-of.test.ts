import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { exactReading } from '#base/reading';
import { fractionsOf, runState, shelveFraction, stillBalance, stillOf } from '#run/state';
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
    const balance = stillBalance(state, 'hydrochloric-acid')!;
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
