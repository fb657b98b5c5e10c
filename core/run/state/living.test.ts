import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sdOf } from '#base/figure';
import { unwrap } from '#base/problem';
import { exactReading } from '#base/reading';
import { molarMass } from '#matter/substance';
import type { EventBody } from '#run/log';
import { catalogue } from '#run/route';
import { sheetOf } from '#run/sheet';
import { advise, runState } from '#run/state';
import { molIn, own } from '#testing/asking';
import { planForRoute } from '#testing/catalogue';
import { times } from '#testing/property';
import { eventsAt, planFor, testShelf } from '#testing/shelf';

const START = '2026-03-14T08:00:00.000Z';
const plan = planFor('20 g basic zinc carbonate');
const state = (...bodies: EventBody[]) => unwrap(runState(plan, eventsAt(START, ...bodies)));
const added = (step: string, role: string | null, value: number, unit = 'g'): EventBody => ({
  kind: 'added',
  step,
  role,
  bottleId: role === null ? null : (plan.bottles[role] ?? null),
  reading: exactReading(value, unit),
  reason: '',
});
const done = (step: string): EventBody => ({ kind: 'finished', step });
const read = (
  step: string,
  quantity: 'left' | 'gas' | 'pH' | 'temperature',
  value: number,
  unit: string,
): EventBody => ({
  kind: 'read',
  step,
  quantity,
  reading: exactReading(value, unit),
  place: '',
});
const dose = (of: ReturnType<typeof state>, role: string) => of.sheet.additions.find((line) => line.role === role)!;
const zincIn: EventBody[] = [
  done('ready'),
  added('zinc', 'zinc', 12),
  done('zinc'),
  added('water', 'water', 60, 'mL'),
  done('water'),
];
const acidIn: EventBody[] = [...zincIn, added('acid', 'acid', 60), done('acid')];

describe('soda dosed by what is in the vessel', () => {
  it('takes the acid left over and the zinc, as by hand', () => {
    // 12 g of 99 % zinc: 0.18171 mol. 60 g of 37 % acid: 0.22635 mol, so 0.04464 left. Soda (0.22635) × 1.05 × 286.14 / 1.
    const run = state(...acidIn);
    const soda = dose(run, 'soda');
    expect(soda.dose.mass.value).toBeCloseTo(0.22635 * 1.05 * 286.14, 1);
    expect(run.sheet.theory!.value).toBeCloseTo((0.18171 / 5) * molarMass('Zn5(CO3)2(OH)6'), 2);
    expect(run.sheet.limiting).toBe('zinc');
    // Hydrogen from zinc, carbon dioxide from soda.
    expect(run.sheet.gases.map(({ id }) => id).sort()).toEqual(['carbon-dioxide', 'hydrogen']);
    expect(run.sheet.gases.find(({ id }) => id === 'hydrogen')!.volume.value).toBeCloseTo(0.18171 * 24.06, 1);
    expect(run.sheet.gases.find(({ id }) => id === 'carbon-dioxide')!.volume.value).toBeCloseTo(
      (0.04464 + 0.6 * 0.18171) * 24.06,
      1,
    );
  });

  it('makes as much as was asked for, at the yield of the plan', () => {
    const sheet = unwrap(sheetOf(plan));
    expect(sheet.product!.value).toBeGreaterThan(19.7);
    expect(sheet.product!.value).toBeLessThan(20.3);
  });

  it('shows the price of the acid in excess, and the window of the endpoint from the labels', () => {
    const add = own(
      unwrap(advise(plan, eventsAt(START, ...acidIn, done('dissolve'), done('filter')), 'soda', START)),
      'add',
    )!.add;
    expect(add!.stages[0]!.toG).toBeCloseTo(0.04464 * 286.14, 1);
    expect(add!.enough.value).toBeCloseTo(0.22635 * 286.14, 1);
    expect(add!.band.toG - add!.band.fromG).toBeCloseTo(4 * sdOf(add!.enough), 9);
    expect(add!.price).toContain('sulfuric acid left over takes 13 g');
    expect(add!.band.place).toBe('before');
    expect(add!.next.grams).toBeGreaterThan(0);
  });
});

describe('a run that changes', () => {
  it('takes a stall as an assay of the acid, and computes on from it', () => {
    const stalled = [...acidIn, read('dissolve', 'left', 2.4, 'g'), read('dissolve', 'left', 2.2, 'g')];
    expect(own(unwrap(advise(plan, eventsAt(START, ...stalled), 'dissolve', START)), 'react')!.stall).toMatchObject({
      verdict: 'unreacted',
      stopped: false,
      more: null,
    });
    stalled.push(read('dissolve', 'left', 2.2, 'g'));
    const { stall } = own(unwrap(advise(plan, eventsAt(START, ...stalled), 'dissolve', START)), 'react')!;
    // 9.8 g of 99 % zinc: 0.14839 mol; × 98.078 / 60 g = 24.26 %.
    expect(stall!.strength.value).toBeCloseTo(24.26, 1);
    expect(stall!.sentence).toMatch(/not 37/);
    // 2.2 g of zinc, 0.033 mol at 99 %, take 3.30 g of acid: in 24.26 % of it 13.6 g.
    expect(stall!.more!.mass.value).toBeCloseTo(((2.2 / 65.38) * 98.078) / 0.2426, 0);
    expect(stall!.more!.volumeMl).toBeCloseTo(stall!.more!.mass.value / 1.277, 0);
    expect(stall!.bottleId).toBe(plan.bottles.acid);
    const run = state(...stalled, done('dissolve'));
    expect(run.sheet.theory!.value).toBeCloseTo((0.14839 / 5) * molarMass('Zn5(CO3)2(OH)6'), 1);
    expect(run.sheet.limiting).toBe('acid');
    // No acid is left over for the soda to take.
    expect(dose(run, 'soda').dose.mass.value).toBeCloseTo(0.14839 * 1.05 * 286.14, 1);
  });

  it('keeps the stall when acid is topped up: what was left then meets the new acid alone', () => {
    const run = state(...acidIn, read('dissolve', 'left', 2.2, 'g'), added('dissolve', 'acid', 10), done('dissolve'));
    expect(run.sheet.limiting).toBe('zinc');
    // 2.2 g left are 2.2 × 0.99 ÷ 65.38 = 0.0333 mol, and the acid before was spent; 10 g of 37 % bring 0.0377 mol.
    expect(molIn(run.sheet.now!.contents)['sulfuric-acid']).toBeCloseTo((10 * 0.37) / 98.078 - (2.2 * 0.99) / 65.38, 3);
  });

  it('follows what is in the vessel now, step by step', () => {
    const before = state(done('ready'), added('water', 'water', 60, 'mL'));
    expect(before.sheet.now!.contents.waterG.value).toBeCloseTo(59.9, 0);
    expect(Object.keys(molIn(before.sheet.now!.contents))).toEqual([]);
    const after = state(...acidIn, done('dissolve'));
    expect(molIn(after.sheet.now!.contents)['zinc-sulfate']).toBeCloseTo(0.18171, 3);
    expect(molIn(after.sheet.now!.contents)['sulfuric-acid']).toBeCloseTo(0.04464, 3);
  });

  it('takes something unplanned from any bottle, lets it react, and keeps mass', () => {
    const bottle = testShelf.find(({ id }) => id === 'bottle_soda')!;
    const inserted: EventBody = {
      kind: 'step-inserted',
      step: 'step_extra1',
      after: 'dissolve',
      beside: false,
      repeats: null,
      title: 'Take the acid off',
      why: '',
      leave: { alone: false, lookEveryMin: null },
    };
    const soda: EventBody = {
      kind: 'added',
      step: 'step_extra1',
      role: null,
      bottleId: bottle.id,
      reading: exactReading(6, 'g'),
      reason: '',
      stock: { card: bottle.card, usedG: 0 },
    };
    const run = state(...acidIn, done('dissolve'), inserted, soda);
    // 6 g of decahydrate: 0.02097 mol of carbonate takes as much acid.
    expect(molIn(run.sheet.now!.contents)['sulfuric-acid']).toBeCloseTo(0.04464 - 6 / 286.14, 3);
    expect(molIn(run.sheet.now!.contents)['sodium-sulfate']).toBeCloseTo(6 / 286.14, 4);
    const lost = state(...acidIn, done('dissolve')).sheet.now!.massG + 6 - run.sheet.now!.massG;
    expect(lost).toBeCloseTo((6 / 286.14) * 44.01, 1);
  });

  it('tops up after it was enlarged, from what is in', () => {
    const run = state(...zincIn, { kind: 'enlarged', step: 'water', factor: 1.5, why: '' });
    const plain = unwrap(sheetOf(plan)).additions.find((line) => line.role === 'zinc')!.dose.mass.value;
    expect(dose(run, 'zinc').dose.mass.value).toBeCloseTo(1.5 * plain, 1);
    expect(dose(run, 'zinc').actual!.value).toBe(12);
  });

  it('splits and merges without losing or making anything', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 0.95, noNaN: true }), (share) => {
        const whole = state(...acidIn, done('dissolve'));
        const split = state(...acidIn, done('dissolve'), {
          kind: 'poured-off',
          step: 'dissolve',
          share,
          batchId: 'batch_other1',
          why: '',
        });
        const { contents, extent } = whole.sheet.now!;
        const part = (value: number) => ({ value: value * share, sd: 0 });
        const joined = unwrap(
          runState(
            plan,
            eventsAt(
              START,
              ...acidIn,
              done('dissolve'),
              { kind: 'poured-off', step: 'dissolve', share, batchId: 'batch_other1', why: '' },
              {
                kind: 'poured-in',
                step: 'dissolve',
                batchId: 'batch_other1',
                number: 2,
                amounts: Object.fromEntries(
                  Object.entries<number>(molIn(contents) as Record<string, number>).map(([id, n]) => [id, part(n)]),
                ),
                waterG: part(contents.waterG.value),
                inertG: part(contents.inertG.value),
                extentMol: extent ? part(extent.value) : null,
              },
            ),
          ),
        );
        expect(split.sheet.now!.massG).toBeCloseTo(whole.sheet.now!.massG * (1 - share), 6);
        expect(joined.sheet.now!.massG).toBeCloseTo(whole.sheet.now!.massG, 6);
        expect(split.sheet.theory!.value).toBeCloseTo(whole.sheet.theory!.value * (1 - share), 6);
        expect(joined.sheet.theory!.value).toBeCloseTo(whole.sheet.theory!.value, 6);
      }),
      { numRuns: times(15) },
    );
  });

  it('scales what a test portion told to the whole', () => {
    const run = state(
      ...acidIn,
      done('dissolve'),
      { kind: 'portion-taken', step: 'dissolve', reading: exactReading(5, 'mL'), purpose: 'acid left', returned: true },
      {
        kind: 'portion-tested',
        step: 'dissolve',
        portion: 'ev_test0008',
        reading: exactReading(0.5, 'g'),
        says: 'until it stopped fizzing',
      },
    );
    expect(run.portions[0]!.forBatch!.value).toBeCloseTo((0.5 * run.sheet.now!.volumeMl) / 5, 6);
  });

  it('raises an alarm above a ceiling, until it is read lower', () => {
    const hot = [...acidIn, { kind: 'started', step: 'settle' } as EventBody, read('settle', 'temperature', 92, '°C')];
    expect(state(...hot).alarms[0]!.text).toContain('above the ceiling of 80 °C');
    expect(state(...hot, read('settle', 'temperature', 60, '°C')).alarms).toEqual([]);
  });
});

describe('how far it has come', () => {
  it('says when gas and dose disagree', () => {
    const bodies = [
      ...acidIn,
      done('dissolve'),
      done('filter'),
      added('soda', 'soda', 62),
      read('soda', 'gas', 2.6, 'L'),
    ];
    const { extent } = own(unwrap(advise(plan, eventsAt(START, ...bodies), 'soda', START)), 'add')!;
    expect(extent!.disagreement).toMatch(/^gas says 7\d %, dose says 9\d %/);
  });

  it('counts own measures with their uncertainty', () => {
    const scoop: EventBody = {
      kind: 'added',
      step: 'soda',
      role: 'soda',
      bottleId: plan.bottles.soda ?? null,
      reading: { is: 'counted', count: 4, measure: 'tea scoop', each: 5.2, sd: 0.3, unit: 'g' },
      reason: '',
    };
    const { add } = own(
      unwrap(advise(plan, eventsAt(START, ...acidIn, done('dissolve'), done('filter'), scoop), 'soda', START)),
      'add',
    )!;
    expect(add!.inG).toBeCloseTo(20.8, 9);
    expect(state(...acidIn, done('dissolve'), scoop).log[0]!.text).toContain('4 × tea scoop');
  });
});

describe('drying', () => {
  it('says where the mass levels out and how much water is still in', () => {
    const at = (hours: number, grams: number) => ({
      id: `ev_dry${hours}`,
      happened: { at: new Date(Date.parse(START) + hours * 3_600_000).toISOString(), giveOrTakeMin: 0 },
      writtenAt: START,
      body: { kind: 'read', step: 'dry', quantity: 'mass', reading: exactReading(grams, 'g'), place: '' } as const,
    });
    // 16 g dry, 8 g of water leaving with a time constant of 5 h.
    const events = [0, 3, 6, 9, 12].map((h) => at(h, Number((16 + 8 * Math.exp(-h / 5)).toFixed(2))));
    const { finish } = unwrap(advise(plan, events, 'dry', START));
    expect(finish!.finish.endsAt!.value).toBeCloseTo(16, 0);
    expect(finish!.sentence).toMatch(/About 0\.[67]\d* g of water still in it/);
  });
});

describe('an addition that gives two gases', () => {
  it('counts both, and weighs them by the one there is most of', () => {
    const route = catalogue.find(({ id }) => id === 'sodium-nitrate')!;
    const nitrate = planForRoute(route);
    const { gases } = unwrap(sheetOf(nitrate));
    const { add } = own(unwrap(advise(nitrate, [], 'fertiliser', START)), 'add')!;
    const stage = add!.stages[0]!;
    // 2 NH3 and 1 CO2 for 2 mol of the double salt.
    const litres = gases.reduce((sum, { volume }) => sum + volume.value, 0);
    expect((stage.gasL * Math.min(add!.plannedG, stage.toG)) / stage.toG).toBeCloseTo(litres, 1);
  });
});
