import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { exactReading, type Quantity, quantities } from '#base/reading';
import { massOverAll } from '#matter/vessel';
import { type EventBody, eventBodyShape } from '#run/log';
import { catalogue, type Route } from '#run/route';
import { advise, clockOf, runState } from '#run/state';
import { arbitraryOf } from '#testing/arbitrary';
import { molIn, own } from '#testing/asking';
import { planForRoute } from '#testing/catalogue';
import { times } from '#testing/property';
import { figuresIn } from '#testing/recompute';
import { eventsAt, testShelf } from '#testing/shelf';

const START = '2026-03-14T08:00:00.000Z';
const amount = fc.oneof(fc.double({ min: 0, max: 500, noNaN: true }), fc.constantFrom(0, 1e-9, 1e5));
const reading = fc.oneof(
  amount.map((value) => exactReading(value, 'g')),
  amount.map((value) => exactReading(value, 'mL')),
  fc
    .tuple(amount, amount)
    .map(([a, b]) => ({ is: 'band', low: Math.min(a, b), high: Math.max(a, b), unit: 'g' }) as const),
  amount.map((value) => ({ is: 'over', value, unit: 'g' }) as const),
  amount.map((value) => ({ is: 'under', value, unit: 'mL' }) as const),
  fc.constantFrom(
    { is: 'word', text: 'still fizzes' } as const,
    { is: 'sight', enough: true, text: 'it has stopped' } as const,
  ),
  amount.map((count) => ({ is: 'counted', count, measure: 'scoop', each: 5, sd: 0.3, unit: 'g' }) as const),
);

/** Any entry at any step of a route, sensible or not. */
function bodyFor(route: Route): fc.Arbitrary<EventBody> {
  const plan = planForRoute(route);
  const step = fc.constantFrom(...route.steps.map(({ id }) => id), 'step_extra1', 'step_extra2', 'nowhere');
  const role = fc.constantFrom(...route.roles.map(({ id }) => id), null);
  const share = fc.double({ min: 0.01, max: 1, noNaN: true });
  return fc.oneof(
    { weight: 4, arbitrary: fc.record({ kind: fc.constant('finished' as const), step }) },
    {
      weight: 5,
      arbitrary: fc.tuple(step, role, reading).map(
        ([at, who, read]): EventBody => ({
          kind: 'added',
          step: at,
          role: who,
          bottleId: who === null ? null : (plan.bottles[who] ?? null),
          reading: read,
          reason: '',
        }),
      ),
    },
    {
      weight: 2,
      arbitrary: fc.tuple(step, fc.constantFrom(...testShelf), reading).map(
        ([at, bottle, read]): EventBody => ({
          kind: 'added',
          step: at,
          role: null,
          bottleId: bottle.id,
          reading: read,
          reason: '',
          stock: { card: bottle.card, usedG: 0 },
        }),
      ),
    },
    {
      weight: 3,
      arbitrary: fc
        .tuple(step, fc.constantFrom(...(Object.keys(quantities) as Quantity[])), reading)
        .map(([at, quantity, read]): EventBody => ({ kind: 'read', step: at, quantity, reading: read, place: '' })),
    },
    fc.tuple(step, reading, fc.boolean()).map(
      ([at, read, returned]): EventBody => ({
        kind: 'portion-taken',
        step: at,
        reading: read,
        purpose: 'test',
        returned,
      }),
    ),
    step.map((at): EventBody => ({ kind: 'step-skipped', step: at, reason: 'why' })),
    step.map((at): EventBody => ({ kind: 'started', step: at })),
    step.map((at): EventBody => ({ kind: 'reopened', step: at })),
    step.map((at): EventBody => ({ kind: 'checked', step: at })),
    {
      weight: 2,
      arbitrary: fc
        .tuple(
          step,
          fc.boolean(),
          fc.constantFrom(null, ...route.steps.map(({ id }) => id)),
          fc.constantFrom(undefined, 'redissolve' as const, 'as-before' as const),
          fc.constantFrom('step_extra1', 'step_extra2'),
        )
        .map(
          ([at, beside, repeats, does, key]): EventBody => ({
            kind: 'step-inserted',
            step: key,
            after: at,
            beside,
            repeats,
            does,
            title: 'More',
            why: '',
            leave: { alone: false, lookEveryMin: 10 },
          }),
        ),
    },
    fc
      .tuple(step, share)
      .map(([at, part]): EventBody => ({ kind: 'poured-off', step: at, share: part, batchId: null, why: '' })),
    step.map((at): EventBody => ({ kind: 'enlarged', step: at, factor: 1.5, why: '' })),
    fc.tuple(step, amount).map(
      ([at, grams]): EventBody => ({
        kind: 'poured-in',
        step: at,
        batchId: 'batch_other1',
        number: 2,
        amounts: { 'sodium-sulfate': { value: grams / 1000, sd: 0 } },
        waterG: { value: grams, sd: 0.1 },
        inertG: { value: 0, sd: 0 },
        extentMol: null,
      }),
    ),
    fc.constant<EventBody>({ kind: 'abandoned', reason: 'enough' }),
  );
}

describe.each(catalogue.map((route) => [route.id, route] as const))('any run of %s', (_, route) => {
  const plan = planForRoute(route);

  it('folds, whatever is entered, and every number in it is a number', () => {
    fc.assert(
      fc.property(fc.array(bodyFor(route), { maxLength: 14 }), fc.constantFrom(...route.steps), (bodies, step) => {
        const events = eventsAt(START, ...bodies);
        const run = runState(plan, events);
        if (!run.ok) {
          // Only what cannot crystallise may be refused, and with a sentence.
          expect(run.problem.message).toMatch(/[.!]$/);
          return;
        }
        for (const figure of figuresIn(run.value)) expect(Number.isFinite(figure.value), figure.name).toBe(true);
        const { now } = run.value.sheet;
        if (now) {
          expect(now.massG).toBeGreaterThanOrEqual(-1e-9);
          for (const n of Object.values(molIn(now.contents))) expect(n).toBeGreaterThanOrEqual(0);
        }
        const advice = advise(plan, events, step.id, '2026-03-14T12:00:00.000Z');
        const add = advice.ok ? own(advice.value, 'add')?.add : null;
        if (add) expect(Number.isFinite(add.next.grams)).toBe(true);
        expect(() => clockOf('batch_x', 'x', run.value, '2026-03-14T12:00:00.000Z')).not.toThrow();
      }),
      { numRuns: times(60) },
    );
  });

  it('folds entries of every kind in any order, and keeps its mass through each', () => {
    const known = {
      step: fc.constantFrom(...route.steps.map(({ id }) => id), 'step_extra1'),
      after: fc.constantFrom(...route.steps.map(({ id }) => id)),
      repeats: fc.constantFrom(null, ...route.steps.map(({ id }) => id)),
      role: fc.constantFrom(null, ...route.roles.map(({ id }) => id)),
      bottleId: fc.constantFrom(null, ...Object.keys(plan.stock)),
      of: fc.integer({ min: 0, max: 9 }).map((n) => `ev_test000${n}`),
    };
    const any = fc.oneof(
      { weight: 2, arbitrary: arbitraryOf(eventBodyShape, known) },
      { weight: 1, arbitrary: known.step.map((step): EventBody => ({ kind: 'finished', step })) },
    );
    fc.assert(
      fc.property(fc.array(any, { maxLength: 10 }), (bodies) => {
        const events = eventsAt(START, ...bodies);
        const run = runState(plan, events);
        if (!run.ok) {
          expect(run.problem.message).toMatch(/[.!]$/);
          return;
        }
        expect(run.value.steps.length).toBeGreaterThan(0);
        for (const figure of figuresIn(run.value)) expect(Number.isFinite(figure.value), figure.name).toBe(true);
        for (const { title, act } of run.value.steps)
          for (const part of [...title, ...act])
            expect(part.is === 'text' ? part.text : part.shown).not.toMatch(/[{}]|undefined|NaN/);
      }),
      { numRuns: times(60) },
    );
  });

  it('keeps its mass over all vessels and what left them, after every step', () => {
    const planned = unwrap(runState(plan, [])).sheet;
    const entries = route.steps.map(({ id, op }): EventBody[] => {
      const line = op.do === 'add' ? planned.additions.find((each) => each.step === id) : undefined;
      const added: EventBody[] = line
        ? [
            {
              kind: 'added',
              step: id,
              role: line.role,
              bottleId: line.bottleId,
              reading: exactReading(line.dose.takeMassG, 'g'),
              reason: '',
            },
          ]
        : [];
      return [...added, { kind: 'finished', step: id }];
    });
    const madeUp = route.steps.findIndex(({ op }) => op.do === 'make-up');
    let went = 0;
    for (const [i, own] of entries.entries()) {
      for (const body of own) if (body.kind === 'added' && body.reading.is === 'exact') went += body.reading.value;
      const { now, figures } = unwrap(runState(plan, eventsAt(START, ...entries.slice(0, i + 1).flat()))).sheet;
      const toTheMark = madeUp >= 0 && i >= madeUp ? (figures['made.water']?.value ?? 0) : 0;
      expect(massOverAll(now!.vessels), route.steps[i]!.id).toBeCloseTo(went + toTheMark, 6);
    }
  });
});
