import { lastOf, must } from '#base/lookup';
import { unwrap } from '#base/problem';
import { asAsked, entering } from '#demo/as-asked';
import type { Instant } from '#model/still';
import type { RunEvent } from '#run/log';
import type { Plan } from '#run/plan';
import { stillAt, stillsOf } from '#run/state';
import { SimulatedStill } from '#server/instrument/simulated-still';
import type { KeptFeed } from '#server/instrument/store';

const MINUTE = 60_000;
/** What is asked for, by which route. */
export const DISTILLATION = {
  target: 'hydrochloric acid from 400 mL hydrochloric acid',
  routeId: 'constant-boiling-acid',
};
/** The acid is a little weaker than its label, the head a little better than a bare one, the mantle a little worse. */
const TRUE_SHARE = 0.962;
const TRUTH = { plates: 1.5, heatShare: 0.74 };
/** Its feed goes on this much faster than a real one. */
const SPEED = 6;
/** Minutes before the second change at which the notebook is opened. */
const BEFORE = 6;

/** A distillation as it stands between its second and third cut: entries, instruments, and what they showed. */
export interface DemoStill {
  readonly events: readonly RunEvent[];
  readonly feed: Omit<KeptFeed, 'batchId' | 'startedAt'>;
  readonly instants: readonly (Instant & { readonly at: string })[];
}

/** Lives a distillation up to now, by the core’s own still with noise and lag. */
export function distillation(plan: Plan, nowMs: number, id: (prefix: string) => string): DemoStill {
  const filling = (until: number): RunEvent[] => filledEvents(plan, until, id);
  const asked = must(stillAt(unwrap(stillsOf(plan, filling(nowMs)))), 'distillation');
  const still = SimulatedStill.begin(
    asked.asked,
    { pct: asked.asked.pct * TRUE_SHARE, ...TRUTH },
    { seed: 20_260_314, sampleSeconds: 1 },
  );
  const shown: Instant[] = [];
  const [first, second] = asked.cuts;
  let switchedAt = 0;
  let droppedAt = 0;
  let overG = 0;
  // On until the second receiver is nearly full; the first is changed on the way.
  for (;;) {
    const came = still.advance(10);
    shown.push(...came);
    const last = lastOf(came);
    if (droppedAt === 0 && last.massG > 0.6) droppedAt = last.minutes;
    if (last.receiver === 0 && last.massG >= (first?.toMl ?? 60)) {
      overG = last.massG;
      switchedAt = last.minutes;
      still.command({ does: 'switch' });
    }
    const rate = droppedAt > 0 && last.minutes > droppedAt ? (overG + last.massG) / (last.minutes - droppedAt) : 4;
    if (last.receiver === 1 && overG + last.massG + BEFORE * rate >= (second?.toMl ?? 200) * 1.04) break;
  }
  const end = lastOf(shown);
  const msOf = (minutes: number) => nowMs - (end.minutes - minutes) * MINUTE;
  const instants = shown.map((each) => ({ ...each, at: new Date(msOf(each.minutes)).toISOString() }));
  const events = filling(msOf(0));
  const enter = entering(events, id);
  const near = (minutes: number) => shown.find((each) => each.minutes >= minutes) ?? end;
  const head = (step: string, minutes: number) =>
    enter(
      {
        kind: 'read',
        step,
        quantity: 'temperature',
        reading: { is: 'exact', value: near(minutes).headC, unit: '°C' },
        place: 'head',
      },
      msOf(minutes),
    );
  enter({ kind: 'started', step: 'boil' }, msOf(0));
  enter({ kind: 'finished', step: 'boil' }, msOf(droppedAt));
  enter({ kind: 'started', step: 'fore-run' }, msOf(droppedAt));
  for (const minutes of [droppedAt + 4, switchedAt - 0.2]) head('fore-run', minutes);
  enter(
    { kind: 'read', step: 'fore-run', quantity: 'mass', reading: { is: 'exact', value: overG, unit: 'g' }, place: '' },
    msOf(switchedAt),
  );
  enter({ kind: 'finished', step: 'fore-run' }, msOf(switchedAt));
  enter({ kind: 'started', step: 'weak' }, msOf(switchedAt));
  for (let minutes = switchedAt + 5; minutes < end.minutes; minutes += 9) head('weak', minutes);
  enter(
    { kind: 'noted', step: 'weak', text: 'Two drops a second, clear; the flask has gone pale yellow.' },
    msOf(end.minutes - 3),
  );
  return { events, feed: { kind: 'simulated', speed: SPEED, running: true, state: still.state() }, instants };
}

/** The flask filled as the sheet asks, and the still put together. */
function filledEvents(plan: Plan, until: number, id: (prefix: string) => string): RunEvent[] {
  const events: RunEvent[] = [];
  asAsked({ plan, events, id }, ['ready', 'water', 'acid', 'still'], { from: until - 55 * MINUTE, minutes: () => 12 });
  return events;
}
