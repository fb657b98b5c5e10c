import { type BodyOf, entryKinds, type Live, type PlainBody } from '#run/log';
import { type StepTemplate, stepsAt } from '#run/route';
import type { Op } from '#run/technique';
import type { Plan } from './plan.ts';

export type StepStatus = 'waiting' | 'ready' | 'running' | 'done' | 'skipped';

/** A step of this run: from the route, or inserted at the bench. */
export interface RunStep {
  readonly key: string;
  readonly template: StepTemplate | null;
  readonly inserted: BodyOf<'step-inserted'> | null;
  readonly needs: readonly string[];
  readonly status: StepStatus;
  readonly startedAt: string | null;
  readonly finishedAt: string | null;
  readonly skippedFor: string | null;
}

/** A step as it is gone through: its key and what it does to the vessels. */
export interface OrderedStep {
  readonly key: string;
  readonly op: Op;
}

/** The route's steps as they were planned. */
export function plannedOrder(steps: readonly StepTemplate[]): readonly OrderedStep[] {
  return steps.map(({ id, op }) => ({ key: id, op }));
}

/** What a step of a run does. What was inserted takes what is entered at it, and does no more unless it says so. */
export function opOf({ template, inserted }: Pick<RunStep, 'template' | 'inserted'>): Op {
  if (inserted?.does === 'redissolve') return { do: 'redissolve' };
  // Adding again would put the planned dose in a second time.
  const acts = template && (!inserted || (inserted.does === 'as-before' && template.op.do !== 'add'));
  return acts ? template.op : { do: 'plain' };
}

type Draft = { -readonly [K in keyof RunStep]: RunStep[K] };

/** The steps of a run in their order, with what the entries made of them. */
export function stepsOf(plan: Plan, live: Live): readonly RunStep[] {
  const steps = templateSteps(stepsAt(plan.route, plan.controls));
  for (const { body, happened } of live) apply(steps, body, happened.at);
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

function apply(steps: Draft[], body: PlainBody, at: string): void {
  if (body.kind === 'step-inserted') {
    insert(steps, body);
    return;
  }
  if (!('step' in body)) return;
  const step = steps.find((each) => each.key === body.step);
  if (!step) return;
  switch (entryKinds[body.kind].step) {
    case 'starts':
      step.status = 'running';
      step.startedAt ??= at;
      return;
    case 'ends':
      step.status = 'done';
      step.startedAt ??= at;
      step.finishedAt = at;
      return;
    case 'skips':
      step.status = 'skipped';
      step.finishedAt = at;
      step.skippedFor = 'reason' in body ? body.reason : null;
      return;
    case 'reopens':
      step.status = 'running';
      step.finishedAt = null;
      step.skippedFor = null;
      return;
    case 'begins':
      // Anything entered at a step that waits has begun it.
      if (step.status !== 'waiting') return;
      step.status = 'running';
      step.startedAt ??= at;
  }
}

/** Between its neighbour and the next, or beside its neighbour with the same prerequisites. */
function insert(steps: Draft[], body: BodyOf<'step-inserted'>): void {
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
