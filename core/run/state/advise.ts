import { ok, type Result } from '#base/problem';
import type { Quantity } from '#base/reading';
import { at } from '#matter/vessel';
import { type Live, type LiveEvent, liveOf, type RunEvent } from '#run/log';
import { opOf, type Plan } from '#run/plan';
import { assemble, type GoneThrough, goThrough } from '#run/sheet';
import {
  adviceOf,
  massOfReading,
  type OwnAdvice,
  placeOf,
  type StepView,
  type TechniqueName,
  type TimedRead,
  techniques,
} from '#run/technique';
import { type FinishAdvice, finishOf } from './finish.ts';

/** What the readings and portions of one step say at a moment. */
export interface Advice {
  /** What the step's own technique says; null where it is no step of this run. */
  readonly own: OwnAdvice | null;
  readonly finish: FinishAdvice | null;
}

/** What to do next at a step, and how far it has come. `now` is an ISO instant. Refuses as the sheet does. */
export function advise(plan: Plan, events: readonly RunEvent[], step: string, now: string): Result<Advice> {
  const gone = goThrough(plan, liveOf(events));
  if (!gone.ok) return gone;
  const here = gone.value.steps.find((each) => each.key === step);
  if (!here) return ok({ own: null, finish: null });
  const view = viewOf(plan, gone.value, step, Date.parse(now));
  const op = here.template && !here.inserted ? here.template.op : opOf(here);
  const says = adviceOf(op, view);
  return ok({
    own: { do: op.do as TechniqueName, says } as OwnAdvice,
    finish: finishOf(techniques[op.do].follows, view.readings, {
      bench: plan.bench,
      figures: view.figures,
      dries: op.do === 'dry',
    }),
  });
}

function viewOf(plan: Plan, gone: GoneThrough, key: string, nowMs: number): StepView {
  const { facts, live, planned, done, steps } = gone;
  const here = steps.find((each) => each.key === key);
  const template = here?.template ?? null;
  const op = here ? opOf(here) : undefined;
  const place = placeOf(op ?? {});
  const walk = done ?? planned;
  const role = template && 'role' in template.op ? template.op.role : undefined;
  const name = role === undefined ? '' : (facts.names[role] ?? role);
  return {
    key,
    facts,
    finished: here?.status === 'done',
    adding: template?.adding ?? null,
    ceilingC: template?.ceilingC ?? null,
    outdoors: template?.where === 'outdoors',
    hot: template?.cautions.includes('hot-liquid') ?? false,
    before: at(walk.before.get(key) ?? {}, place),
    vesselsBefore: walk.before.get(key) ?? {},
    vesselsNow: done?.end.vessels ?? null,
    after: at(walk.outcomes.get(key)?.vessels ?? {}, place),
    now: done && at(done.end.vessels, place),
    drained: done?.end.vessels.liquor !== undefined,
    additions: walk.end.additions,
    besides: [...walk.outcomes.values()].flatMap(({ besides }) => besides),
    figures: planned.outcomes.get(key)?.figures ?? planned.end.figures,
    vessel: assemble(gone).vessel,
    portions: live.flatMap(({ body, happened }) => {
      if (body.kind !== 'added' || body.step !== key || role === undefined || body.role !== role) return [];
      const content = facts.contents[role];
      const mass = massOfReading(body.reading, { name, content, water: facts.water, bench: facts.bench });
      return mass ? [{ mass, at: Date.parse(happened.at) }] : [];
    }),
    readings: live.flatMap(({ body, happened }): TimedRead[] =>
      body.kind === 'read' && body.step === key && (body.of === undefined || body.of === 'vessel')
        ? [{ body, at: Date.parse(happened.at), giveOrTakeMin: happened.giveOrTakeMin }]
        : [],
    ),
    begunAt: begun(live, key),
    at: nowMs,
    whenRead: (quantity) => whenRead(plan, gone, { key, quantity }),
  };
}

/** A reading tells of its moment: the step as it stood then, where more went in at it since. */
function whenRead(
  plan: Plan,
  { live }: GoneThrough,
  { key, quantity }: { readonly key: string; readonly quantity: Quantity },
): StepView | null {
  const at = live.findLastIndex(({ body }) => body.kind === 'read' && body.step === key && body.quantity === quantity);
  const read = live[at];
  if (!read || !live.slice(at).some(({ body }) => body.kind === 'added' && body.step === key)) return null;
  const then = goThrough(plan, live.slice(0, at + 1) as readonly LiveEvent[] as Live);
  return then.ok ? viewOf(plan, then.value, key, Date.parse(read.happened.at)) : null;
}

function begun(live: GoneThrough['live'], key: string): number | null {
  const first = live.find(({ body }) => body.kind === 'started' && body.step === key);
  return first ? Date.parse(first.happened.at) : null;
}
