import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sdOf } from '#base/figure';
import { must } from '#base/lookup';
import { unwrap } from '#base/problem';
import { exactReading } from '#base/reading';
import { formatFigure } from '#base/units';
import { contentsMass, liquidVolume, slurryVolume, vesselNames } from '#matter/vessel';
import { type EventBody, liveOf } from '#run/log';
import type { Plan } from '#run/plan';
import { catalogue, type Route } from '#run/route';
import { goThrough, type TextPart } from '#run/sheet';
import { advise, onBoard, runState } from '#run/state';
import { planForRoute } from '#testing/catalogue';
import { done } from '#testing/on-route';
import { times } from '#testing/property';
import { figuresIn } from '#testing/recompute';
import { eventsAt } from '#testing/shelf';
import { batchMarkdown, recordOf, whereItWent } from './index.ts';

// One run, one truth: whatever the course, each quantity is one value in every place that shows it.

const START = '2026-03-14T08:00:00.000Z';
const NOW = '2026-04-20T08:00:00.000Z';

/** What happens at a step: as planned, poured over or under, in two lots, with water besides, read twice, skipped, or left open. */
const move = fc.record({
  pours: fc.constantFrom(null, 0.5, 0.9, 1, 1.2, 2.5),
  lots: fc.constantFrom(1, 1, 2),
  besidesMl: fc.constantFrom(0, 0, 0, 25),
  reads: fc.constantFrom(null, null, null, 'volume', 'mass', 'twice'),
  off: fc.constantFrom(0.7, 1, 1.1),
  ends: fc.constantFrom('done', 'done', 'done', 'done', 'skipped'),
});
const course = fc.record({
  moves: fc.array(move, { minLength: 24, maxLength: 24 }),
  /** Share of the steps after which it is left. */
  upTo: fc.constantFrom(0.4, 0.8, 1, 1),
});
type Course = typeof course extends fc.Arbitrary<infer T> ? T : never;

function bodiesOf(route: Route, plan: Plan, { moves, upTo }: Course): readonly EventBody[] {
  const { planned } = unwrap(goThrough(plan, liveOf([])));
  const steps = route.steps.slice(0, Math.ceil(upTo * route.steps.length));
  return steps.flatMap(({ id, op }, i): readonly EventBody[] => {
    const { pours, lots, besidesMl, reads, off, ends } = must(moves[i], 'move');
    const line = planned.end.additions.find(({ step }) => step === id);
    const grams = line && pours !== null && op.do === 'add' ? line.dose.mass.value * pours : 0;
    const lot = (value: number): EventBody => ({
      kind: 'added',
      step: id,
      role: op.do === 'add' ? op.role : null,
      bottleId: op.do === 'add' ? (plan.bottles[op.role] ?? null) : null,
      reading: exactReading(value, 'g'),
      reason: '',
    });
    const water: EventBody = {
      kind: 'added',
      step: id,
      role: null,
      bottleId: null,
      reading: exactReading(besidesMl, 'mL'),
      reason: 'rinsed in',
    };
    const stands = planned.outcomes.get(id)?.vessels.pot;
    const measured = (quantity: 'volume' | 'mass', share: number): readonly EventBody[] => {
      const of = quantity === 'volume' ? slurryVolume : contentsMass;
      const whole = stands ? of(stands) : 0;
      if (!(whole > 1)) return [];
      const value = Number((whole * share).toPrecision(4));
      return [
        { kind: 'read', step: id, quantity, reading: exactReading(value, quantity === 'mass' ? 'g' : 'mL'), place: '' },
      ];
    };
    const twice = reads === 'twice' ? [...measured('volume', off), ...measured('volume', off * 0.98)] : [];
    return [
      ...(grams > 0 ? Array.from({ length: lots }, () => lot(grams / lots)) : []),
      ...(besidesMl > 0 ? [water] : []),
      ...(reads === 'volume' || reads === 'mass' ? measured(reads, off) : twice),
      ...(ends === 'skipped' ? [{ kind: 'step-skipped', step: id, reason: 'not today' } as const] : done(id)),
    ];
  });
}

const told = (parts: readonly TextPart[]) =>
  parts.map((each) => (each.is === 'text' ? each.text : each.shown)).join('');

describe.each(catalogue.map((route) => [route.id, route] as const))('%s', (id, route) => {
  const plan = planForRoute(route);

  it('says one thing of each quantity, whatever the course', () => {
    fc.assert(
      fc.property(course, (taken) => {
        const bodies = bodiesOf(route, plan, taken);
        const events = eventsAt(START, ...bodies);
        const found = runState(plan, events);
        if (!found.ok) {
          expect(found.problem.message).toMatch(/[.!]$/);
          return;
        }
        const state = found.value;
        const { sheet } = state;
        for (const figure of figuresIn(state)) expect(Number.isFinite(figure.value), figure.name).toBe(true);
        const now = must(sheet.now, 'now');

        // Nothing is less than none.
        for (const name of vesselNames) {
          const contents = now.vessels[name];
          if (!contents) continue;
          for (const part of [contents.solid, contents.aqueous, contents.organic, contents.gas])
            for (const [what, n] of Object.entries(part))
              expect(must(n, what).value, `${what} in the ${name}`).toBeGreaterThanOrEqual(-1e-9);
          expect(contents.waterG.value, `water in the ${name}`).toBeGreaterThanOrEqual(-1e-6);
        }

        // What was foretold and what is done are one when nothing is left to do.
        const gone = unwrap(goThrough(plan, liveOf(events)));
        if (state.status === 'done' && gone.done)
          for (const name of vesselNames) {
            const [foretold, is] = [gone.planned.end.vessels[name], gone.done.end.vessels[name]];
            expect(foretold ? contentsMass(foretold) : 0, name).toBeCloseTo(is ? contentsMass(is) : 0, 3);
          }

        // Words hold no raw template and no nonsense.
        const words = [
          ...state.steps.flatMap(({ act, expect: expected, title }) => [act, expected, title].map(told)),
          ...state.log.map(({ text }) => text),
          batchMarkdown({ number: 7, plan, state, photo: () => '' }),
        ].join('\n');
        expect(words).not.toMatch(/NaN|undefined|Infinity|\[object|\{[a-z][\w.-]*\}/);

        // What is made, in the sheet, in its vessel, in the record and on the bottle.
        const record = recordOf(
          { plan, state, events, batch: { id: 'batch_one001', number: 7 }, today: '2026-04-20' },
          { basis: null, by: { by: 'times', times: 2 } } as never,
        );
        const { makes } = route;
        if (sheet.made && state.status === 'done' && sheet.made.volume.value > 1 && makes.kind === 'solution') {
          expect(sheet.made.mass.value).toBeCloseTo(contentsMass(now.contents), 4);
          const stands = slurryVolume(now.contents);
          // Volumes of mixtures are good to about 4 %.
          expect(
            Math.abs(sheet.made.volume.value / stands - 1),
            `made ${sheet.made.volume.value}, stands ${stands}`,
          ).toBeLessThan(0.09);
          if (record.product)
            expect(record.product.size?.value).toBeCloseTo(Number(sheet.made.volume.value.toPrecision(4)), 6);
        }
        if (makes.kind === 'liquid' && record.product) {
          const vessel = must(now.vessels[makes.vessel], makes.vessel);
          expect(record.product.size?.value ?? 0).toBeCloseTo(contentsMass(vessel), 0);
          expect(liquidVolume(vessel)).toBeGreaterThan(0);
        }
        if (makes.kind === 'solid' && state.yield && record.product)
          expect(record.product.size?.value).toBeCloseTo(Number(state.yield.mass.value.toPrecision(5)), 6);
        if (state.yield) {
          const pct = state.yield.yieldPct.value;
          expect(pct).toBeGreaterThanOrEqual(0);
          expect(batchMarkdown({ number: 7, plan, state, photo: () => '' })).toContain(
            `${formatFigure(pct, sdOf(state.yield.yieldPct))} % yield`,
          );
        }

        // Where it went closes.
        const went = whereItWent(plan, state);
        if (went) {
          const sum = went.parts.reduce((all, { pct }) => all + pct, 0);
          expect(Math.abs(sum - 100), `${sum} %`).toBeLessThan(1);
          for (const { id: part, pct } of went.parts)
            if (part !== 'unexplained' && part !== 'other') expect(pct, part).toBeGreaterThanOrEqual(-0.1);
        }

        // Advice at any step, and the board, are numbers too.
        for (const { key } of state.steps.slice(-3)) {
          const advice = advise(plan, events, key, NOW);
          expect(advice.ok ? JSON.stringify(advice.value.own) : '').not.toMatch(/NaN|Infinity/);
        }
        const tile = onBoard('batch_one001', id, { state, now: NOW });
        expect(JSON.stringify(tile)).not.toMatch(/NaN|undefined|Infinity/);
      }),
      { numRuns: times(32) },
    );
  });
});
