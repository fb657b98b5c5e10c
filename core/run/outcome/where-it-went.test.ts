import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { exactReading } from '#base/reading';
import type { EventBody } from '#run/log';
import { catalogue } from '#run/route';
import { runState } from '#run/state';
import { planForRoute } from '#testing/catalogue';
import { times } from '#testing/property';
import { eventsAt, planFor } from '#testing/shelf';
import { whereItWent } from './where-it-went.ts';

const START = '2026-03-14T08:00:00.000Z';
const done = (step: string): EventBody => ({ kind: 'finished', step });

describe('where a batch of zinc sulfate went', () => {
  const plan = planFor('30 g zinc sulfate');
  const all = plan.route.steps.map(({ id }) => done(id));
  const weighed: EventBody = {
    kind: 'read',
    step: 'dry',
    quantity: 'mass',
    reading: exactReading(25, 'g'),
    place: '',
    state: 'dry',
  };
  const state = (...bodies: readonly EventBody[]) => unwrap(runState(plan, eventsAt(START, ...bodies)));

  it('closes to 100 % with the product as it was weighed, worked by hand', () => {
    const zinc: EventBody = {
      kind: 'added',
      step: 'zinc',
      role: 'zinc',
      bottleId: 'bottle_zinc',
      reading: exactReading(10, 'g'),
      reason: '',
    };
    const went = whereItWent(plan, state(zinc, ...all, weighed), 'zinc')!;
    // 10 g × 0.99 ÷ 65.38 = 0.1514 mol; 25 g ÷ 287.54 = 0.0869 mol: 57.4 %.
    expect(went.all.value).toBeCloseTo(0.1514, 3);
    expect(went.parts.find(({ id }) => id === 'product')!.pct).toBeCloseTo(57.4, 0);
    expect(went.parts.reduce((sum, { pct }) => sum + pct, 0)).toBeCloseTo(100, 0);
    expect(went.parts.find(({ id }) => id === 'liquor')!.back).toContain('more');
    expect(went.found).toBe(true);
  });

  it('says that the product is only expected before it is weighed, and counts what was spilled', () => {
    const spill: EventBody = {
      kind: 'went-wrong',
      step: 'filter',
      what: 'it spilled',
      vessel: 'pot',
      share: 0.2,
      where: '',
      skin: 'no',
      eye: 'no',
      done: '',
    };
    const before = whereItWent(plan, state(...all), null)!;
    expect(before.found).toBe(false);
    expect(before.parts.some(({ id }) => id === 'unexplained')).toBe(false);
    const after = whereItWent(plan, state(...all.slice(0, 6), spill), null)!;
    expect(after.parts.some(({ id }) => id === 'spilled')).toBe(true);
  });

  it.each(catalogue.filter(({ makes }) => makes.kind === 'solid').map((route) => [route.id, route] as const))(
    'counts %s as its yield does',
    (_, route) => {
      const other = planForRoute(route);
      const bodies = route.steps.flatMap(({ id, op }): EventBody[] =>
        op.do === 'dry'
          ? [
              { kind: 'read', step: id, quantity: 'mass', reading: exactReading(20, 'g'), place: '', state: 'dry' },
              done(id),
            ]
          : [done(id)],
      );
      const run = unwrap(runState(other, eventsAt(START, ...bodies)));
      const went = whereItWent(other, run, null);
      if (!went || !run.yield || run.sheet.limiting === null || went.role !== run.sheet.limiting) return;
      const product = went.parts.find(({ id }) => id === 'product')!.pct;
      // A melt's theory is of what was leached, and a gel is weighed with its water.
      if (route.id.startsWith('silica')) return;
      expect(product / run.yield.yieldPct.value).toBeCloseTo(1, 1);
    },
  );

  it('is nothing before anything went in', () => {
    expect(whereItWent(plan, unwrap(runState(plan, [])), null)).toBeNull();
  });
});

describe('where any batch went', () => {
  it.each(catalogue.filter(({ makes }) => makes.kind === 'solid').map((route) => [route.id, route] as const))(
    '%s closes to 100 %, whatever went in and wherever it stands',
    (_, route) => {
      const plan = planForRoute(route);
      const shares = fc.array(fc.double({ min: 0.2, max: 2, noNaN: true }), { minLength: 8, maxLength: 8 });
      fc.assert(
        fc.property(
          shares,
          fc.nat(route.steps.length),
          fc.double({ min: 1, max: 200, noNaN: true }),
          (off, upTo, grams) => {
            const bodies = route.steps.slice(0, upTo + 1).flatMap(({ id, op }, i): EventBody[] => {
              if (op.do === 'dry')
                return [
                  {
                    kind: 'read',
                    step: id,
                    quantity: 'mass',
                    reading: exactReading(grams, 'g'),
                    place: '',
                    state: 'dry',
                  },
                  done(id),
                ];
              if (op.do !== 'add') return [done(id)];
              const bottleId = plan.bottles[op.role] ?? null;
              const reading = exactReading(20 * off[i % 8]!, 'g');
              return [{ kind: 'added', step: id, role: op.role, bottleId, reading, reason: '' }, done(id)];
            });
            const run = runState(plan, eventsAt(START, ...bodies));
            if (!run.ok) return;
            const went = whereItWent(plan, run.value, null);
            if (!went) return;
            // Parts under a twentieth of a per cent are not shown.
            expect(Math.abs(went.parts.reduce((sum, { pct }) => sum + pct, 0) - 100)).toBeLessThan(0.5);
            for (const { pct } of went.parts) expect(Number.isFinite(pct)).toBe(true);
          },
        ),
        { numRuns: times(8) },
      );
    },
  );
});
