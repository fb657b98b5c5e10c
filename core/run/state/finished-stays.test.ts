import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must } from '#base/lookup';
import { unwrap } from '#base/problem';
import { exactReading } from '#base/reading';
import { type EventBody, liveOf } from '#run/log';
import type { Plan } from '#run/plan';
import { catalogue, type Route } from '#run/route';
import { goThrough } from '#run/sheet';
import { planForRoute } from '#testing/catalogue';
import { done } from '#testing/on-route';
import { times } from '#testing/property';
import { eventsAt, planFor } from '#testing/shelf';

// A step that was ended keeps what went in at it: later entries, at it or anywhere else, never change it.

const START = '2026-03-14T08:00:00.000Z';

/** What is told to have gone in at each step, g: as entered, else as planned. */
function takenAt(plan: Plan, bodies: readonly EventBody[]): ReadonlyMap<string, number> {
  const { planned } = unwrap(goThrough(plan, liveOf(eventsAt(START, ...bodies))));
  return new Map(planned.end.additions.map(({ step, dose, actual }) => [step, (actual ?? dose.mass).value]));
}

/** Steps of a route that put something in, and that its usual plan has. */
function addsOf(route: Route, planned: ReadonlyMap<string, number>) {
  return route.steps.flatMap(({ id, op }) => (op.do === 'add' && planned.has(id) ? [{ id, role: op.role }] : []));
}

const move = fc.record({ share: fc.constantFrom(0, 0.4, 0.8, 1, 1.7), ends: fc.boolean() });
const course = fc.record({
  moves: fc.array(move, { minLength: 2, maxLength: 6 }),
  late: fc.option(fc.record({ step: fc.nat(5), share: fc.constantFrom(0.3, 2) })),
  enlarged: fc.option(fc.constantFrom(1.5, 2)),
});

describe('a step that was ended', () => {
  it.each(catalogue.map((route) => [route.id, route] as const))(
    'of %s keeps what went in, whatever follows',
    (_, route) => {
      const plan = planForRoute(route);
      const planned = takenAt(plan, []);
      const steps = addsOf(route, planned);
      const added = ({ id, role }: (typeof steps)[number], share: number): EventBody => ({
        kind: 'added',
        step: id,
        role,
        bottleId: plan.bottles[role] ?? null,
        reading: exactReading(share * must(planned.get(id), id), 'g'),
        reason: '',
      });
      fc.assert(
        fc.property(course, ({ moves, late, enlarged }) => {
          const bodies: EventBody[] = [];
          const kept = new Map<string, number>();
          for (const [i, step] of steps.slice(0, moves.length).entries()) {
            const { share, ends } = must(moves[i], 'move');
            if (share > 0) bodies.push(added(step, share));
            if (!ends && share > 0) continue;
            bodies.push(...done(step.id));
            kept.set(step.id, must(takenAt(plan, bodies).get(step.id), step.id));
          }
          const later = late ? steps[late.step % steps.length] : undefined;
          // What goes in later at an ended step adds to it, and to nothing else.
          if (late && later && !kept.has(later.id)) bodies.push(added(later, late.share));
          const [first] = steps;
          if (enlarged && first) bodies.push({ kind: 'enlarged', step: first.id, factor: enlarged, why: '' });
          if (bodies.length === 0) return;
          const now = takenAt(plan, bodies);
          for (const [step, grams] of kept) expect(now.get(step), step).toBeCloseTo(grams, 6);
        }),
        { numRuns: times(40) },
      );
    },
  );

  it('keeps the dose it was ended with, by hand: zinc as planned, then half the acid', () => {
    const plan = planFor('60 g zinc sulfate');
    const planned = takenAt(plan, []);
    const acid = {
      kind: 'added',
      step: 'acid',
      role: 'acid',
      bottleId: plan.bottles.acid ?? null,
      reason: '',
    } as const;
    const half = must(planned.get('acid'), 'acid') / 2;
    const bodies: EventBody[] = [...done('zinc'), { ...acid, reading: exactReading(half, 'g') }];
    // 60 ÷ 287.56 mol of zinc, with its excess, in 99 %: what was shown when the step was ended.
    expect(takenAt(plan, bodies).get('zinc')).toBeCloseTo(must(planned.get('zinc'), 'zinc'), 9);
    expect(takenAt(plan, [...bodies, ...done('acid')]).get('zinc')).toBeCloseTo(must(planned.get('zinc'), 'zinc'), 9);
  });
});
