import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must } from '#base/lookup';
import { unwrap } from '#base/problem';
import { contentsMass, massOverAll, vesselNames } from '#matter/vessel';
import type { EventBody } from '#run/log';
import { catalogue, type Route } from '#run/route';
import { runState } from '#run/state';
import { planForRoute } from '#testing/catalogue';
import { done, on, read } from '#testing/on-route';
import { times } from '#testing/property';
import { eventsAt } from '#testing/shelf';
import { whereItWent } from './index.ts';

// A solid weighs what it was weighed to, in the vessel as in the yield, the account and on the bottle.

const START = '2026-03-14T08:00:00.000Z';
const run = (route: Route, ...bodies: EventBody[]) => unwrap(runState(planForRoute(route), eventsAt(START, ...bodies)));
const solids = catalogue.filter(({ makes }) => makes.kind === 'solid');
const ids = (route: Route) => route.steps.map(({ id }) => id);

/** g in the vessel that the product lies in. */
function lies(state: ReturnType<typeof run>): number {
  const { vessels } = must(state.sheet.now, 'now');
  const id = must(state.productId, 'product') as never;
  const held = vesselNames
    .filter((name) => name !== 'liquor' && name !== 'paper')
    .flatMap((name) => (vessels[name]?.solid[id] ? [must(vessels[name], name)] : []));
  return Math.max(...held.map(contentsMass));
}

describe('a solid that was weighed', () => {
  it.each(solids.map((route) => [route.id, route] as const))('%s: the vessel is what the balance said', (_, route) => {
    const steps = ids(route);
    const last = must(steps.at(-1), 'step');
    const whole = run(route, ...done(...steps));
    const expected = lies(whole);
    const before = massOverAll(must(whole.sheet.now, 'now').vessels);
    fc.assert(
      fc.property(fc.double({ min: 0.4, max: 1.15, noNaN: true }), fc.constantFrom('dry', 'jar'), (share, where) => {
        const grams = Math.round(100 * expected * share) / 100;
        const dry = route.steps.find(({ op }) => op.do === 'dry')?.id ?? last;
        const step = where === 'dry' && !steps.slice(steps.indexOf(dry)).includes('sublime') ? dry : last;
        const bodies = [...done(...steps.slice(0, steps.indexOf(step))), read(step, 'mass', grams, 'g')];
        const state = run(route, ...bodies, ...done(...steps.slice(steps.indexOf(step))));
        expect(lies(state)).toBeCloseTo(grams, 6);
        const { vessels } = must(state.sheet.now, 'now');
        expect(massOverAll(vessels) / before).toBeCloseTo(1, 6);
        for (const contents of Object.values(vessels))
          for (const n of Object.values({ ...contents?.solid, ...contents?.aqueous }))
            expect(must(n, 'n').value).toBeGreaterThanOrEqual(-1e-9);
        const went = whereItWent(planForRoute(route), state);
        const sum = went?.parts.reduce((all, { pct }) => all + pct, 0) ?? 100;
        expect(Math.abs(sum - 100)).toBeLessThan(0.5);
      }),
      { numRuns: times(16) },
    );
  });

  it('more than was computed came out of the liquor: alum by hand', () => {
    const alum = on('alum-recrystallised', '60 g alum', { crude: 'potassium alum 97 % 1 kg' });
    const steps = alum.plan.route.steps.map(({ id }) => id);
    const until = done(...steps.slice(0, steps.indexOf('dry')));
    const asPlanned = alum.run(...until, ...done('dry'));
    const modelG = must(asPlanned.sheet.product, 'product').value;
    const heavier = alum.run(...until, read('dry', 'mass', modelG + 2, 'g'), ...done('dry'));
    const left = (state: typeof heavier) => {
      const liquor = must(must(state.sheet.now, 'now').vessels.liquor, 'liquor');
      return Object.values(liquor.aqueous)[0]?.value ?? 0;
    };
    // 2 g of KAl(SO4)2·12H2O are 2 ÷ 474.4 = 0.00422 mol, gone from the liquor with their water.
    expect(left(asPlanned) - left(heavier)).toBeCloseTo(2 / 474.4, 4);
  });
});
