import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { unwrap } from '#base/problem';
import { catalogue } from '#run/route';
import { sheetOf } from '#run/sheet';
import { planForRoute } from '#testing/catalogue';
import { times } from '#testing/property';
import { eventsAt, planFor, testShelf } from '#testing/shelf';
import { compute } from './compute.ts';
import { verbs } from './verbs.ts';

type Json = null | boolean | number | string | readonly Json[] | { readonly [key: string]: Json };

/** A good input for every verb: its example, or one built of a demo plan where that is too long to write out. */
function goodInputs(): ReadonlyMap<string, Json> {
  const plan = planFor('30 g zinc sulfate');
  const events = eventsAt(
    '2026-03-14T08:00:00.000Z',
    { kind: 'finished', step: 'ready' },
    {
      kind: 'added',
      step: 'zinc',
      role: 'zinc',
      bottleId: 'bottle_zinc',
      reading: { is: 'exact', value: 9.4, unit: 'g' },
      reason: '',
    },
  ).map((event, i) => ({ ...event, id: `ev_fuzzed000${i}` }));
  const long: Readonly<Record<string, unknown>> = {
    sheet: { plan },
    run: { plan, events },
    advise: { plan, events, step: 'zinc', now: '2026-03-14T10:00:00.000Z' },
    changeRoute: { route: plan.route, change: { do: 'put', kind: 'hold', of: '', after: 'zinc' } },
    sideBySide: { plans: [plan] },
    chainYield: { runs: [{ id: 'batch_fuzzed01', number: 1, plan, events }], basis: null },
    care: { plan, events, shelf: testShelf.slice(0, 2) },
    week: {
      runs: [{ batch: 'batch_fuzzed01', plan, events }],
      from: '2026-03-14T10:00:00.000Z',
      free: [[600, 900]],
      light: [[480, 1080]],
    },
    when: {
      text: '1 L of 1 mol/L hydrochloric acid',
      shelf: testShelf,
      bench: plan.bench,
      today: '2026-03-14',
      week: { tasks: [], free: [[600, 9000]], light: [[480, 1080]] },
      from: '2026-03-14T00:00:00.000Z',
      now: '2026-03-14T10:00:00.000Z',
    },
    compare: { attempts: [1, 2].map((number) => ({ number, plan, events })) },
  };
  return new Map(Object.values(verbs).map(({ name, example }) => [name, plain(example ?? long[name])]));
}

function plain(value: unknown): Json {
  return JSON.parse(JSON.stringify(value)) as Json;
}

/** Every place in a value, as a path of keys. */
function places(value: Json, at: readonly string[] = []): readonly (readonly string[])[] {
  if (typeof value !== 'object' || value === null) return [at];
  const inner = Object.entries(value).flatMap(([key, each]) => places(each as Json, [...at, key]));
  return at.length === 0 ? inner : [at, ...inner];
}

function withAt(value: Json, [key, ...rest]: readonly string[], next: Json | undefined): Json {
  if (key === undefined) return next ?? null;
  const copy: Record<string, Json> | Json[] = Array.isArray(value)
    ? [...value]
    : { ...(value as Record<string, Json>) };
  const into = copy as Record<string, Json>;
  if (rest.length === 0 && next === undefined) delete into[key];
  else into[key] = rest.length === 0 ? next! : withAt(into[key] ?? null, rest, next);
  return copy as Json;
}

const ODD = fc.constantFrom<Json | undefined>(
  undefined,
  null,
  '',
  ' ',
  'x'.repeat(5000),
  '1,5',
  '__proto__',
  'constructor',
  true,
  0,
  -0,
  -1,
  1e-300,
  1e300,
  Number.MAX_SAFE_INTEGER,
  [],
  {},
  [null],
  { kind: 'finished' },
);

/** What is answered can be sent: no number in it that JSON does not know. */
function expectFinite(value: unknown, where: string): void {
  JSON.stringify(value, (_, each: unknown) => {
    if (typeof each === 'number' && !Number.isFinite(each)) expect.fail(`${where}: ${each}`);
    return each;
  });
}

const inputs = goodInputs();

describe('every verb of the door, and every route behind it', () => {
  it('has a good input here, which it answers', () => {
    for (const verb of Object.keys(verbs)) {
      const input = inputs.get(verb);
      expect(input, verb).toBeDefined();
      expect(() => unwrap(compute(verb, input)), verb).not.toThrow();
    }
  });

  it.each([...inputs.keys()])('%s answers or refuses whatever is put in the place of any value', (verb) => {
    const input = inputs.get(verb)!;
    fc.assert(
      fc.property(fc.constantFrom(...places(input)), ODD, (at, odd) => {
        const answer = compute(verb, withAt(input, at, odd));
        if (answer.ok) {
          expectFinite(answer.value, `${verb} ${at.join('.')}`);
        } else expect(answer.problem.message.length).toBeGreaterThan(5);
      }),
      { numRuns: times(200) },
    );
  });

  it.each(catalogue.map((route) => [route.id, route] as const))('a plan of %s, odd in one place', (_, route) => {
    const plan = plain(planForRoute(route));
    fc.assert(
      fc.property(fc.constantFrom(...places(plan)), ODD, (at, odd) => {
        const answer = compute('sheet', { plan: withAt(plan, at, odd) });
        if (answer.ok) expectFinite(answer.value, at.join('.'));
        else expect(answer.problem.message).toMatch(/\w/);
      }),
      { numRuns: times(60) },
    );
  });

  it.each(catalogue.map((route) => [route.id, route] as const))(
    'a plan of %s at any setting of its sliders',
    (_, route) => {
      const plan = planForRoute(route);
      const settings = fc.record(
        Object.fromEntries(
          route.controls.map(({ id, min, max, step }) => [
            id,
            fc.integer({ min: 0, max: Math.round((max - min) / step) }).map((at) => Math.min(max, min + at * step)),
          ]),
        ),
      );
      fc.assert(
        fc.property(settings, fc.constantFrom(1, 50, 20_000), (controls, value) => {
          const target = { ...plan.target, amount: { ...plan.target.amount, value } };
          const sheet = sheetOf({ ...plan, target, controls });
          if (!sheet.ok) {
            expect(sheet.problem.message).toMatch(/[.!]$/);
            return;
          }
          const { product, theory, yieldPct, additions, vessel } = sheet.value;
          for (const each of additions) expect(each.dose.mass.value, each.role).toBeGreaterThanOrEqual(0);
          if (product && theory) expect(product.value).toBeLessThanOrEqual(theory.value * 1.0001);
          if (yieldPct) expect(yieldPct.value).toBeGreaterThanOrEqual(0);
          expect(vessel?.foamShare).toBeGreaterThanOrEqual(0);
        }),
        { numRuns: times(40) },
      );
    },
  );

  it('refuses what is no input at all', () => {
    for (const verb of Object.keys(verbs))
      for (const nothing of [undefined, null, 7, 'text', [], true]) expect(compute(verb, nothing).ok, verb).toBe(false);
    for (const none of ['', 'toString', '__proto__', 'x'.repeat(300)]) expect(compute(none, {}).ok).toBe(false);
  });
});
