import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must } from '#base/lookup';
import { unwrap } from '#base/problem';
import { exactReading } from '#base/reading';
import { at, slurryVolume } from '#matter/vessel';
import { type EventBody, liveOf } from '#run/log';
import { catalogue, type Route } from '#run/route';
import { goThrough } from '#run/sheet';
import { placeOf } from '#run/technique';
import { planForRoute } from '#testing/catalogue';
import { done, on, read } from '#testing/on-route';
import { times } from '#testing/property';
import { eventsAt } from '#testing/shelf';

// A reading tells of its moment: what goes in later comes to it, and never takes it back.

const START = '2026-03-14T08:00:00.000Z';
const water = (step: string, mL: number): EventBody => ({
  kind: 'added',
  step,
  role: null,
  bottleId: null,
  reading: exactReading(mL, 'mL'),
  reason: 'rinsed in',
});

/** mL in the vessel of a step, by what is done. */
function standsAt(route: Route, step: string, bodies: readonly EventBody[]): number {
  const plan = planForRoute(route);
  const { done: walk, facts } = unwrap(goThrough(plan, liveOf(eventsAt(START, ...bodies))));
  const op = must(
    route.steps.find(({ id }) => id === step),
    step,
  ).op;
  // At the last steps one works at what was made.
  const { makes } = route;
  const place = makes.kind === 'liquid' && step === route.steps.at(-1)?.id ? makes.vessel : placeOf(op);
  return slurryVolume(at(must(walk, 'walk').end.vessels, place), facts.tables);
}

/** A step with water in its vessel, at which a volume is read of what stands there and nothing else happens. */
function plainSteps(route: Route): readonly { readonly id: string; readonly before: readonly string[] }[] {
  const ids = route.steps.map(({ id }) => id);
  const plan = planForRoute(route);
  const { planned } = unwrap(goThrough(plan, liveOf([])));
  return route.steps.flatMap(({ id, op }) => {
    const stands = planned.before.get(id);
    const isThere = stands && at(stands, placeOf(op)).waterG.value > 20;
    return isThere && ['add', 'hold', 'plain', 'dissolve', 'react'].includes(op.do)
      ? [{ id, before: ids.slice(0, ids.indexOf(id)) }]
      : [];
  });
}

describe('a volume that was read', () => {
  it.each(
    catalogue.flatMap((route) => {
      const [step] = plainSteps(route).slice(-1);
      return step ? [[route.id, step.id, route, step.before] as const] : [];
    }),
  )('in %s at “%s” stands, and what went in since on top of it', (_, step, route, before) => {
    const stood = standsAt(route, step, [...done(...before), ...done(step)]);
    fc.assert(
      fc.property(fc.double({ min: 0.6, max: 1.5, noNaN: true }), fc.constantFrom(0, 5, 20, 80), (share, mL) => {
        const V = Math.round(stood * share);
        const bodies = [...done(...before), read(step, 'volume', V, 'mL'), ...done(step)];
        const asRead = standsAt(route, step, bodies);
        const since = standsAt(route, step, [
          ...done(...before),
          read(step, 'volume', V, 'mL'),
          water(step, mL),
          ...done(step),
        ]);
        // Volumes of mixtures are good to about 4 %, and what is read within 5 % of them is no other volume; no vessel stands lower
        // than its crystals need.
        expect(since).toBeGreaterThan(0.93 * (Math.min(V, asRead) + mL));
        expect(since).toBeLessThan(1.07 * (asRead + mL));
        const first = standsAt(route, step, [
          ...done(...before),
          water(step, mL),
          read(step, 'volume', V, 'mL'),
          ...done(step),
        ]);
        if (asRead !== stood) expect(Math.abs(first - asRead) / asRead).toBeLessThan(0.13);
      }),
      { numRuns: times(12) },
    );
  });

  it('at the mark, and water after it: by hand', () => {
    const acid = on('acid-dilution', '300 mL of 10 % hydrochloric acid', { acid: 'hydrochloric acid 30 % 1 L' });
    const ids = acid.plan.route.steps.map(({ id, op }) => ({ id, do: op.do }));
    const mark = must(
      ids.find((each) => each.do === 'make-up'),
      'mark',
    ).id;
    const before = ids
      .slice(
        0,
        ids.findIndex(({ id }) => id === mark),
      )
      .map(({ id }) => id);
    const made = (...bodies: EventBody[]) => must(acid.run(...done(...before), ...bodies).sheet.made, 'made');
    const marked = made(read(mark, 'volume', 320, 'mL'), ...done(mark));
    const thinner = made(read(mark, 'volume', 320, 'mL'), water(mark, 40), ...done(mark));
    expect(marked.volume.value).toBeCloseTo(320, 6);
    expect(thinner.volume.value).toBeCloseTo(360, -1);
    // The acid in it is the same: 320 c = 360 c′.
    expect(thinner.strength.value).toBeCloseTo((marked.strength.value * marked.volume.value) / thinner.volume.value, 3);
    expect(thinner.mass.value - marked.mass.value).toBeCloseTo(39.9, 0);
  });
});

describe('what was left undissolved', () => {
  const zinc = on('zinc-sulfate', '60 g zinc sulfate', { zinc: 'zinc 99 % 1 kg', acid: 'sulfuric acid 37 % 1 L' });
  const before = [
    zinc.added('zinc', 'zinc', 12),
    zinc.added('acid', 'acid', 60),
    ...done('ready', 'zinc', 'water', 'acid'),
  ];
  const left = read('dissolve', 'left', 2.2, 'g');
  const reacted = (...bodies: EventBody[]) => must(zinc.run(...before, ...bodies).sheet.now?.extent, 'extent').value;

  it('says how far it had come, also after more acid went in', () => {
    // 9.8 g of 99 % zinc: 0.14839 mol.
    expect(reacted(left)).toBeCloseTo(0.1484, 3);
    expect(reacted(left, zinc.added('dissolve', 'acid', 3))).toBeCloseTo(0.1484, 3);
    // Ended: 3 g of 37 % acid take up 0.01132 mol more.
    expect(reacted(left, zinc.added('dissolve', 'acid', 3), ...done('dissolve'))).toBeCloseTo(0.1484 + 0.01132, 3);
    // More than enough: all 12 g, 0.18171 mol.
    expect(reacted(left, zinc.added('dissolve', 'acid', 30), ...done('dissolve'))).toBeCloseTo(0.18171, 3);
  });

  it('was weighed of all that had gone in before it', () => {
    expect(reacted(zinc.added('dissolve', 'acid', 3), left)).toBeCloseTo(0.1484, 3);
  });
});
