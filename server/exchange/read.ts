import type { Shape } from '#base/shape';
import { checkShape } from '#contract/check';
import { type BottleEvent, bottleEventBodyShape } from '#matter/stock';
import { type AssayPlan, assayPlanShape, newAssayEntryShape } from '#model/assay';
import { bottleBodyFrom, eventBodyFrom, planFrom, routes1, type Stored } from '#run/kept';
import { eventBodyShape, type RunEvent } from '#run/log';
import { type Plan, planShape } from '#run/plan';
import type { KeptAssay, KeptBatch, KeptBottle, KeptEvent } from './kept-rows.ts';
import { jsonOf } from './opened.ts';
import { around } from './shapes.ts';

// One file of an export, read: as it is kept, and as today's build understands it. Throws a sentence that names the file.

export interface ReadBottle {
  readonly kept: KeptBottle;
  readonly events: readonly BottleEvent[];
}

export interface ReadBatch {
  readonly kept: KeptBatch;
  readonly plan: Plan;
  readonly events: readonly RunEvent[];
}

const ROUTES_1 = new Map(routes1.map((route) => [route.id, route]));

export function readBottle(bytes: Uint8Array, name: string): ReadBottle {
  const { events, ...head } = record(jsonOf(bytes, name), name);
  fits(around.bottle, head, name);
  const kept = items(events, name).map((each) => eventIn(each, around.bottleEvent, name));
  if (kept.length === 0) throw new Error(`${name} in this export holds a bottle that nothing is said of.`);
  const today = kept.map(({ id, happenedAt, writtenAt, version, body }): BottleEvent => {
    const read = bottleBodyFrom(body as Stored, version);
    fits(bottleEventBodyShape, read, `${name}, ${id}`);
    return { id, happenedAt, writtenAt, body: read };
  });
  return { kept: { ...(head as Omit<KeptBottle, 'events'>), events: kept }, events: today };
}

export function readBatch(bytes: Uint8Array, name: string): ReadBatch {
  const { events, plan, ...head } = record(jsonOf(bytes, name), name);
  fits(around.batch, head, name);
  const { planVersion } = head as Pick<KeptBatch, 'planVersion'>;
  const read = planFrom(record(plan, name) as Stored, planVersion, (id) => ROUTES_1.get(id));
  fits(planShape, read, `${name}, its plan`);
  const kept = items(events, name).map((each) => eventIn(each, around.batchEvent, name) as KeptBatch['events'][number]);
  const today = kept.map(({ id, happenedAt, writtenAt, giveOrTakeMin, version, body }): RunEvent => {
    const entry = eventBodyFrom(body as Stored, version);
    fits(eventBodyShape, entry, `${name}, ${id}`);
    return { id, happened: { at: happenedAt, giveOrTakeMin }, writtenAt, body: entry };
  });
  return {
    kept: { ...(head as Omit<KeptBatch, 'events' | 'plan'>), plan: plan as object, events: kept },
    plan: read,
    events: today,
  };
}

export function readAssay(bytes: Uint8Array, name: string): KeptAssay {
  const { entries, plan, ...head } = record(jsonOf(bytes, name), name);
  fits(around.assay, head, name);
  fits(assayPlanShape, plan, `${name}, its plan`);
  const kept = items(entries, name).map((each) => eventIn(each, around.assayEntry, name));
  // What was applied is written by the server alone: it stands in no shape of what a page sends.
  for (const { id, happenedAt, body } of kept)
    if (Reflect.get(body, 'kind') !== 'applied') fits(newAssayEntryShape, { id, happenedAt, body }, `${name}, ${id}`);
  return { ...(head as Omit<KeptAssay, 'plan' | 'entries'>), plan: plan as AssayPlan, entries: kept };
}

/** A whole file that has one shape. */
export function readWhole<T>(shape: Shape<T>, bytes: Uint8Array, name: string): T {
  return fits(shape, jsonOf(bytes, name), name);
}

function eventIn(value: unknown, shape: Shape, name: string): KeptEvent {
  const { body, ...head } = record(value, name);
  fits(shape, head, name);
  return { ...(head as Omit<KeptEvent, 'body'>), body: record(body, name) };
}

function fits<T>(shape: Shape<T>, value: unknown, where: string): T {
  // Its shape alone: what makes sense was asked when it was entered, by the build of that day.
  const found = checkShape(shape, value);
  if (found.ok) return found.value;
  throw new Error(`${where} in this export does not hold what it should: ${found.problem.message}`);
}

function record(value: unknown, name: string): Readonly<Record<string, unknown>> {
  if (typeof value === 'object' && value !== null && !Array.isArray(value)) return value as Record<string, unknown>;
  throw new Error(`${name} in this export does not hold what it should: an object is wanted.`);
}

function items(value: unknown, name: string): readonly unknown[] {
  if (Array.isArray(value)) return value;
  throw new Error(`${name} in this export does not hold what it should: a list is wanted.`);
}
