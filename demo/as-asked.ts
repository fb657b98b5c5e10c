import { unwrap } from '#base/problem';
import type { EventBody, RunEvent } from '#run/log';
import type { Plan } from '#run/plan';
import { runState } from '#run/state';

const MINUTE = 60_000;

/** Enters into events, each as it happens. */
export function entering(events: RunEvent[], id: (prefix: string) => string) {
  return (body: EventBody, at: number) => {
    const instant = new Date(at).toISOString();
    events.push({ id: id('ev'), happened: { at: instant, giveOrTakeMin: 0 }, writtenAt: instant, body });
  };
}

interface Living {
  readonly plan: Plan;
  readonly events: RunEvent[];
  readonly id: (prefix: string) => string;
}

/** Lives steps one after the other just as the sheet asks: cautions read, what is to be added added, so many minutes for each. */
export function asAsked(
  { plan, events, id }: Living,
  keys: readonly string[],
  { from, minutes }: { readonly from: number; readonly minutes: (key: string) => number },
): void {
  const enter = entering(events, id);
  let now = from;
  for (const key of keys) {
    const step = unwrap(runState(plan, events)).steps.find((each) => each.key === key);
    if (!step) throw new Error(`${plan.route.id} has no step ${key}`);
    enter({ kind: 'started', step: key }, now);
    for (const caution of step.cautions)
      if (caution.severity === 'stop') enter({ kind: 'acknowledged', caution: `${key}:${caution.id}` }, now);
    const { addition } = step;
    if (addition) {
      const { value, unit } = addition.dose.take;
      const reading = { is: 'exact' as const, value, unit };
      const { role, bottleId } = addition;
      enter({ kind: 'added', step: key, role, bottleId, reading, reason: '' }, now + 3 * MINUTE);
    }
    now += minutes(key) * MINUTE;
    enter({ kind: 'finished', step: key }, now);
  }
}
