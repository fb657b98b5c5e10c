import { fail, ok, type Result } from '#base/problem';
import type { VesselName } from '#matter/vessel';
import { type Route, type StepTemplate, stepKinds } from '#run/route';
import type { Role } from '#run/technique';
import { usedControls } from './used-controls.ts';

/** Most steps that a route holds. */
const MOST = 60;

export interface Put {
  /** Kind of step, as in {@link stepKinds}. */
  readonly kind: string;
  /** The role or the equation that it needs; empty for none. */
  readonly of: string;
  /** The step it comes behind; null for the first. */
  readonly after: string | null;
}

/** Puts a step in. Its id is returned beside the route. */
export function putStep(
  route: Route,
  { kind, of, after }: Put,
): Result<{ readonly route: Route; readonly id: string }> {
  const found = stepKinds.find((each) => each.id === kind);
  if (!found) return fail('not-found', 'There is no such kind of step.', { field: 'kind' });
  if (route.steps.length >= MOST)
    return fail('too-large', `A batch has at most ${MOST} steps; do the rest in the next one.`, { field: 'kind' });
  const needs = { role: route.roles, reaction: route.reactions };
  if (found.needs && !needs[found.needs].some((each) => each.id === of)) {
    const sentence =
      found.needs === 'role'
        ? 'Say which bottle goes in at it.'
        : 'Say which equation goes on at it; without one, hold it.';
    return fail('missing-part', sentence, { field: 'of' });
  }
  const id = freeId(
    route.steps.map((each) => each.id),
    found.id,
  );
  const { step, controls } = found.make(route, id, of);
  const at = route.steps.findIndex((each) => each.id === after);
  const steps = [...route.steps.slice(0, at + 1), step, ...route.steps.slice(at + 1)];
  return ok({ route: { ...route, steps: inOrder(steps), controls: [...route.controls, ...controls] }, id });
}

/** Takes a step out, with what could be set at it alone, and the bottle that went in only there. */
export function removeStep(route: Route, id: string): Result<Route> {
  const steps = route.steps.filter((each) => each.id !== id);
  if (steps.length === 0) return fail('missing-part', 'A batch has at least one step.', { field: 'steps' });
  const gone = route.steps.find((each) => each.id === id);
  if (!gone) return fail('not-found', 'There is no such step.', { field: 'steps' });
  return ok(tidied({ ...route, steps: inOrder(steps) }, gone));
}

/** Puts a step at another place, counted from 0. */
export function moveStep(route: Route, id: string, to: number): Route {
  const step = route.steps.find((each) => each.id === id);
  if (!step) return route;
  const rest = route.steps.filter((each) => each.id !== id);
  const at = Math.max(0, Math.min(rest.length, to));
  return { ...route, steps: inOrder([...rest.slice(0, at), step, ...rest.slice(at)]) };
}

/** Words, place, minutes and ceiling of a step; what it does is of its kind. */
export function reword(
  route: Route,
  id: string,
  words: Partial<Omit<StepTemplate, 'id' | 'op' | 'after' | 'only' | 'adding'>>,
): Route {
  return { ...route, steps: route.steps.map((each) => (each.id === id ? { ...each, ...words } : each)) };
}

/** What a role is called, what it tolerates, and whether it is weighed or measured; what it accepts and its dose stay. */
export function changeRole(route: Route, id: string, of: Pick<Role, 'name' | 'tolerates' | 'measure'>): Route {
  return { ...route, roles: route.roles.map((each) => (each.id === id ? { ...each, ...of } : each)) };
}

/** Lets a step work in another vessel than it did. */
export function workIn(route: Route, id: string, vessel: VesselName): Route {
  const steps = route.steps.map((each) => (each.id === id ? { ...each, op: { ...each.op, in: vessel } } : each));
  return { ...route, steps };
}

/** Without waits for steps that no longer stand before them. */
function inOrder(steps: readonly StepTemplate[]): readonly StepTemplate[] {
  return steps.map((each, i) => {
    const before = new Set(steps.slice(0, i).map(({ id }) => id));
    return each.after.every((key) => before.has(key))
      ? each
      : { ...each, after: each.after.filter((key) => before.has(key)) };
  });
}

function tidied(route: Route, gone: StepTemplate): Route {
  const added = new Set(route.steps.flatMap(({ op }) => ('role' in op ? [op.role] : [])));
  const madeOf = route.makes.kind === 'solid' ? undefined : route.makes.role;
  const leant = new Set(route.roles.flatMap(({ dose }) => ('role' in dose ? [dose.role] : [])));
  const role = 'role' in gone.op ? gone.op.role : undefined;
  const roles =
    role !== undefined && !added.has(role) && role !== madeOf && !leant.has(role)
      ? route.roles.filter(({ id }) => id !== role)
      : route.roles;
  const used = usedControls({ roles, steps: route.steps });
  return { ...route, roles, controls: route.controls.filter(({ id }) => used.has(id)) };
}

function freeId(taken: readonly string[], stem: string): string {
  if (!taken.includes(stem)) return stem;
  let n = 2;
  while (taken.includes(`${stem}-${n}`)) n += 1;
  return `${stem}-${n}`;
}
