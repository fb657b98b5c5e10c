import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type EventBody, liveOf } from '#run/log';
import { catalogue } from '#run/route';
import { planForRoute } from '#testing/catalogue';
import { done, insert, START } from '#testing/on-route';
import { times } from '#testing/property';
import { eventsAt, planFor } from '#testing/shelf';
import { factsOf, opOf, planTitle, productTitle, stepsOf } from './index.ts';

const plan = planFor('60 g zinc sulfate');
const steps = (...bodies: EventBody[]) => stepsOf(plan, liveOf(eventsAt(START, ...bodies)));
const keys = (of: ReturnType<typeof steps>) => of.map(({ key }) => key);
const status = (of: ReturnType<typeof steps>, key: string) => of.find((each) => each.key === key)!.status;

describe('the steps of a run', () => {
  it('stand in the order of the route, the first ready', () => {
    expect(keys(steps())).toEqual(plan.route.steps.map(({ id }) => id));
    expect(steps()[0]!.status).toBe('ready');
    expect(steps()[1]!.status).toBe('waiting');
  });

  it('begin by what is entered at them, end when they are done, and can be opened again', () => {
    const [first] = keys(steps());
    expect(status(steps({ kind: 'started', step: first! }), first!)).toBe('running');
    expect(status(steps(...done(first!)), first!)).toBe('done');
    expect(status(steps(...done(first!), { kind: 'reopened', step: first! }), first!)).toBe('running');
    expect(status(steps({ kind: 'step-skipped', step: first!, reason: 'why' }), first!)).toBe('skipped');
  });

  it('take one inserted after another, and wait for it; one put beside is not waited for', () => {
    const after = steps(insert('step_wash01', 'filter', { title: 'Wash' }));
    expect(keys(after).indexOf('step_wash01')).toBe(keys(after).indexOf('filter') + 1);
    const next = after[keys(after).indexOf('step_wash01') + 1]!;
    expect(next.needs).toContain('step_wash01');
    const beside = steps({ ...insert('step_wash01', 'filter', { title: 'Wash' }), beside: true } as EventBody);
    expect(beside.find(({ key }) => key === next.key)!.needs).not.toContain('step_wash01');
  });

  it('do nothing more for being inserted, unless they say so; adding is never done twice', () => {
    const of = (does?: 'as-before' | 'redissolve', repeats: string | null = 'filter') =>
      opOf(
        steps(insert('step_more01', 'filter', { title: 'More', repeats, ...(does ? { does } : {}) })).find(
          ({ key }) => key === 'step_more01',
        )!,
      );
    expect(of().do).toBe('plain');
    expect(of('as-before').do).toBe('filter');
    expect(of('redissolve').do).toBe('redissolve');
    expect(of('as-before', 'zinc').do).toBe('plain');
  });

  it('are never lost nor doubled, whatever is entered', () => {
    const step = fc.constantFrom(...plan.route.steps.map(({ id }) => id), 'step_extra1', 'nowhere');
    const body = fc.oneof(
      step.map((at): EventBody => ({ kind: 'finished', step: at })),
      step.map((at): EventBody => ({ kind: 'started', step: at })),
      step.map((at): EventBody => ({ kind: 'reopened', step: at })),
      step.map((at): EventBody => ({ kind: 'step-skipped', step: at, reason: 'why' })),
      step.map((at): EventBody => insert('step_extra1', at, { title: 'More' })),
    );
    fc.assert(
      fc.property(fc.array(body, { maxLength: 12 }), (bodies) => {
        const all = keys(steps(...bodies));
        expect(new Set(all).size).toBe(all.length);
        for (const { id } of plan.route.steps) expect(all).toContain(id);
      }),
      { numRuns: times(200) },
    );
  });
});

describe('what a plan is computed from', () => {
  it('is found once, and is the same object after', () => {
    const first = factsOf(plan);
    expect(first.ok).toBe(true);
    expect(factsOf(plan)).toBe(first);
  });

  it.each([
    ['nothing', { target: { ...plan.target, amount: { value: 0, unit: 'g' as const } } }, 'more than 0'],
    ['a tonne', { target: { ...plan.target, amount: { value: 1e6, unit: 'g' as const } } }, 'hobby scale'],
    ['no number', { target: { ...plan.target, amount: { value: Number.NaN, unit: 'g' as const } } }, 'not a number'],
    ['a control beyond its end', { controls: { ...plan.controls, cold: 90 } }, 'runs from'],
    ['a bench in the oven', { bench: { ...plan.bench, tempC: 80 } }, 'between 0 and 45'],
    ['a vacuum', { bench: { ...plan.bench, pressureHPa: 10 } }, 'between 600 and 1100'],
    ['a balance of nothing', { bench: { ...plan.bench, balanceG: 0 } }, 'A balance shows'],
    ['a room without air', { bench: { ...plan.bench, roomM3: 0 } }, 'more than 0'],
    [
      'a route without its role',
      { route: { ...plan.route, roles: plan.route.roles.slice(1) } },
      'which the route has not',
    ],
  ])('is refused for %s, with a sentence', (_, change, said) => {
    const facts = factsOf({ ...plan, ...change });
    expect(facts.ok ? '' : facts.problem.message).toContain(said);
  });

  it.each(catalogue.map((route) => [route.id, route] as const))('is whole for %s', (_, route) => {
    const facts = factsOf(planForRoute(route));
    expect(facts.ok).toBe(true);
    if (!facts.ok) return;
    for (const { id, accepts } of route.roles)
      expect(facts.value.contents[id] !== undefined, id).toBe(accepts.length > 0);
    for (const { id, start } of route.controls) expect(facts.value.settings[id]).toBe(start);
  });
});

describe('the title of a plan', () => {
  it('is the target as it could be typed again; of the product alone, without how much', () => {
    expect(planTitle(plan)).toBe('60 g of zinc sulfate');
    expect(productTitle(plan)).toBe('zinc sulfate');
    expect(planTitle(planFor('sodium acetate from 250 mL vinegar'))).toBe('sodium acetate from 250 mL acetic acid');
    expect(productTitle(planFor('1.5 L of 2 mol/L hydrochloric acid'))).toBe('hydrochloric acid, 2 mol/L');
  });
});
