import { type Op, routeById, type StepTemplate, stepsAt } from '#core/route';
import { applyCorrections, type EventBody, type RunEvent } from './event.ts';
import type { Plan } from './plan.ts';

export type StepStatus = 'waiting' | 'ready' | 'running' | 'done' | 'skipped';

/** A step of this run: from the route, or put in at the bench. */
export interface RunStep {
  readonly key: string;
  readonly template: StepTemplate | null;
  readonly inserted: Extract<EventBody, { kind: 'step-inserted' }> | null;
  readonly needs: readonly string[];
  readonly status: StepStatus;
  readonly startedAt: string | null;
  readonly finishedAt: string | null;
  readonly skippedFor: string | null;
}

/** A step as the walk takes it: its key and what it does to the vessel. */
export interface OrderedStep {
  readonly key: string;
  readonly op: Op;
}

/** The route's steps as they were planned. */
export function plannedOrder(steps: readonly StepTemplate[]): readonly OrderedStep[] {
  return steps.map(({ id, op }) => ({ key: id, op }));
}

/** The run's steps as they stand. What was put in takes what is entered at it, and does no more unless it says so. */
export function runOrder(plan: Plan, events: readonly RunEvent[]): readonly OrderedStep[] {
  return stepsOf(plan, events).map((step) => ({ key: step.key, op: opOf(step) }));
}

/** What a step of a run does to the vessel. */
export function opOf({ template, inserted }: RunStep): Op {
  if (inserted?.does === 'redissolve') return { do: 'redissolve' };
  // Charging again would put the planned dose in a second time.
  const acts = template && (!inserted || (inserted.does === 'as-before' && template.op.do !== 'charge'));
  return acts ? template.op : { do: 'nothing' };
}

type Draft = { -readonly [K in keyof RunStep]: RunStep[K] };

/** The steps of a run in their order, with what the events made of them. */
export function stepsOf(plan: Plan, events: readonly RunEvent[]): readonly RunStep[] {
  const route = routeById(plan.routeId);
  if (!route) return [];
  const steps = templateSteps(stepsAt(route, plan.controls));
  for (const { body, happened } of applyCorrections(events)) apply(steps, body, happened.at);
  const over = new Set(
    steps.filter((step) => step.status === 'done' || step.status === 'skipped').map((step) => step.key),
  );
  for (const step of steps) {
    if (step.status === 'waiting' && step.needs.every((key) => over.has(key))) step.status = 'ready';
  }
  return steps;
}

function templateSteps(templates: readonly StepTemplate[]): Draft[] {
  return templates.map((template, i) => ({
    key: template.id,
    template,
    inserted: null,
    needs: template.after.length > 0 ? template.after : templates.slice(Math.max(0, i - 1), i).map((each) => each.id),
    status: 'waiting',
    startedAt: null,
    finishedAt: null,
    skippedFor: null,
  }));
}

function apply(steps: Draft[], body: EventBody, at: string): void {
  if (body.kind === 'step-inserted') insert(steps, body);
  if (!('step' in body)) return;
  const step = steps.find((each) => each.key === body.step);
  if (!step) return;
  switch (body.kind) {
    case 'started':
      step.status = 'running';
      step.startedAt ??= at;
      break;
    case 'finished':
      step.status = 'done';
      step.startedAt ??= at;
      step.finishedAt = at;
      break;
    case 'step-skipped':
      step.status = 'skipped';
      step.finishedAt = at;
      step.skippedFor = body.reason;
      break;
    case 'reopened':
      step.status = 'running';
      step.finishedAt = null;
      step.skippedFor = null;
      break;
    default:
      // Anything entered at a step that waits has begun it.
      if (step.status === 'waiting' && body.kind !== 'step-inserted') {
        step.status = 'running';
        step.startedAt ??= at;
      }
  }
}

/** Between its neighbour and the next, or beside its neighbour with the same prerequisites. */
function insert(steps: Draft[], body: Extract<EventBody, { kind: 'step-inserted' }>): void {
  if (steps.some((each) => each.key === body.step)) return;
  const at = steps.findIndex((each) => each.key === body.after);
  const neighbour = steps[at];
  const template = body.repeats === null ? null : (steps.find((each) => each.key === body.repeats)?.template ?? null);
  const step: Draft = {
    key: body.step,
    template,
    inserted: body,
    needs: needsOf(neighbour, body.beside),
    status: 'waiting',
    startedAt: null,
    finishedAt: null,
    skippedFor: null,
  };
  if (!body.beside && neighbour) {
    for (const each of steps) each.needs = each.needs.map((key) => (key === neighbour.key ? step.key : key));
  }
  steps.splice(at < 0 ? steps.length : at + 1, 0, step);
}

function needsOf(neighbour: Draft | undefined, beside: boolean): readonly string[] {
  if (!neighbour) return [];
  return beside ? neighbour.needs : [neighbour.key];
}
