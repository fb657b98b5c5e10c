import { must } from '#base/lookup';
import { unwrap } from '#base/problem';
import { exactReading, type Quantity } from '#base/reading';
import { BenchDefaults } from '#matter/gear';
import { parseLabel } from '#matter/label';
import type { EventBody } from '#run/log';
import { startPlan } from '#run/plan';
import { parseTarget, routeById, type ShelfBottle } from '#run/route';
import { runState } from '#run/state';
import { eventsAt } from '#testing/shelf';

export const START = '2026-03-14T08:00:00.000Z';

/** A route with bottles of these labels, by role, and the entries of a run on it. */
export function on(routeId: string, asked: string, labels: Readonly<Record<string, string>>) {
  const route = must(routeById(routeId), 'routeById');
  const shelf: ShelfBottle[] = Object.entries(labels).map(([role, label]) => ({
    id: `bottle_${role}`,
    card: must(parseLabel(label, '2026-01-01', 20).card, 'card'),
    usedG: 0,
    archived: false,
  }));
  const bottles = Object.fromEntries(route.roles.map(({ id }) => [id, id in labels ? `bottle_${id}` : null]));
  const { substanceId, amount, strength } = parseTarget(asked, 20);
  const target = {
    substanceId: must(substanceId, 'substanceId'),
    amount: must(amount, 'amount'),
    strength,
    fromRole: null,
  };
  const plan = startPlan({ route, target, bottles, shelf, bench: BenchDefaults, day: '2026-01-01' });
  return {
    plan,
    added: (step: string, role: string | null, value: number, unit = 'g'): EventBody => ({
      kind: 'added',
      step,
      role,
      bottleId: role === null ? null : (plan.bottles[role] ?? null),
      reading: exactReading(value, unit),
      reason: '',
    }),
    run: (...bodies: EventBody[]) => unwrap(runState(plan, eventsAt(START, ...bodies))),
  };
}
export const done = (...steps: string[]): EventBody[] => steps.map((step) => ({ kind: 'finished', step }));
export const read = (step: string, quantity: Quantity, value: number, unit: string): EventBody => ({
  kind: 'read',
  step,
  quantity,
  reading: exactReading(value, unit),
  place: '',
});
export const insert = (
  step: string,
  after: string,
  over: Partial<Extract<EventBody, { kind: 'step-inserted' }>>,
): EventBody => ({
  kind: 'step-inserted',
  step,
  after,
  beside: false,
  repeats: null,
  title: 'Again',
  why: '',
  leave: { alone: true, lookEveryMin: null },
  ...over,
});
