import type { BodyOf, Live } from '#run/log';
import type { Plan } from '#run/plan';
import { type Route, stepKinds } from '#run/route';

/**
 * A run’s plan with the steps that were inserted at the bench and do something of their own: they stand in it like those that
 * were planned, with what was set at them. The same plan where there are none.
 */
export function asInserted(plan: Plan, live: Live): Plan {
  const all = live.flatMap(({ body }) => (body.kind === 'step-inserted' ? [body] : []));
  return all.reduce((now, body) => (body.own ? put(now, body, all) : now), plan);
}

type Inserted = BodyOf<'step-inserted'>;

function put(plan: Plan, { step: id, own, after, title, why, leave }: Inserted, all: readonly Inserted[]): Plan {
  const { route } = plan;
  const kind = stepKinds.find((each) => each.id === own?.kind);
  const of = own?.of ?? '';
  const needs = { role: route.roles, reaction: route.reactions };
  const lacks = kind?.needs && !needs[kind.needs].some((each) => each.id === of);
  if (!kind || !own || lacks || route.steps.some((each) => each.id === id)) return plan;
  const { step, controls } = kind.make(route, id, of);
  const words = {
    ...step,
    ...(title === '' ? {} : { title }),
    ...(why === '' ? {} : { why }),
    leave: { ...leave, reason: 'as you set it' },
  };
  const at = placeOf(route, after, all);
  const steps = [...route.steps.slice(0, at), words, ...route.steps.slice(at)];
  const set = Object.fromEntries(
    controls.map((control) => {
      const value = own.set ?? control.start;
      return [control.id, Math.min(control.max, Math.max(control.min, value))];
    }),
  );
  return {
    ...plan,
    route: { ...route, steps: followed(steps, after, id), controls: [...route.controls, ...controls] },
    controls: { ...plan.controls, ...set },
  };
}

/** Behind its neighbour; where that was itself inserted and does nothing, behind the one that stands before it. */
function placeOf({ steps }: Route, after: string, all: readonly Inserted[]): number {
  let key = after;
  for (let i = 0; i <= all.length; i++) {
    const at = steps.findIndex((each) => each.id === key);
    if (at >= 0) return at + 1;
    const before = all.find((each) => each.step === key);
    if (!before) break;
    key = before.after;
  }
  return steps.length;
}

/** What waited for the neighbour by name waits for the new step. */
function followed(steps: Route['steps'], neighbour: string, id: string): Route['steps'] {
  return steps.map((each) =>
    each.id !== id && each.after.includes(neighbour)
      ? { ...each, after: each.after.map((key) => (key === neighbour ? id : key)) }
      : each,
  );
}
