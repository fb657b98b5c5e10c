import { must } from '#base/lookup';
import { unwrap } from '#base/problem';
import type { RunEvent } from '#run/log';
import type { Plan } from '#run/plan';
import { runState } from '#run/state';
import { asAsked, entering } from './as-asked.ts';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;

export const IODINE = { target: '5 g iodine', routeId: 'iodine' } as const;

/** Minutes after the first drops, the share of the peroxide that was in by then, and what the thermometer said. */
const DROPS = [
  [3, 0.2, 9],
  [6, 0.35, 14.5],
  [8, 0.55, 22.5],
  [16, 0.55, 15],
  [20, 0.8, 21],
  [27, 1, 18.5],
] as const;

/** Hours before now at which steps were done: wet work the evening before last, drying over a day, the dish since this morning. */
const BEGAN_H = 41;
const DRY_FROM_H = 38.5;
const ON_THE_PLATE_H = 0.7;

/** A few grams of iodine: peroxide dropped in with its warmth logged, filtered, dried, and now subliming under ice. */
export function iodineUnderIce(plan: Plan, nowMs: number, id: (prefix: string) => string): RunEvent[] {
  const events: RunEvent[] = [];
  const living = { plan, events, id };
  const enter = entering(events, id);
  const stepAt = (key: string) =>
    must(
      unwrap(runState(plan, events)).steps.find((each) => each.key === key),
      'steps',
    );
  const read = (key: string) => {
    for (const caution of stepAt(key).cautions)
      if (caution.severity === 'stop') enter({ kind: 'acknowledged', caution: `${key}:${caution.id}` }, begun);
  };
  let begun = nowMs - BEGAN_H * HOUR;
  asAsked(living, ['ready', 'iodide', 'water', 'acid'], { from: begun, minutes: () => 6 });
  begun += 30 * MINUTE;
  enter({ kind: 'started', step: 'peroxide' }, begun);
  read('peroxide');
  const { addition } = stepAt('peroxide');
  const { value, unit } = must(addition, 'addition').dose.take;
  let share = 0;
  for (const [minutes, upTo, tempC] of DROPS) {
    const at = begun + minutes * MINUTE;
    if (upTo > share) {
      const reading = { is: 'exact' as const, value: Number(((upTo - share) * value).toFixed(1)), unit };
      const { role, bottleId } = must(addition, 'addition');
      enter({ kind: 'added', step: 'peroxide', role, bottleId, reading, reason: '' }, at);
    }
    share = upTo;
    const warmth = { is: 'exact' as const, value: tempC, unit: '°C' };
    enter({ kind: 'read', step: 'peroxide', quantity: 'temperature', reading: warmth, place: '' }, at);
  }
  const note = 'A veil of violet at 22 °C: stopped, more ice round it, went on at 15 °C.';
  enter({ kind: 'noted', step: 'peroxide', text: note }, begun + 9 * MINUTE);
  enter({ kind: 'finished', step: 'peroxide' }, begun + 30 * MINUTE);
  asAsked(living, ['settle', 'collect'], { from: begun + 30 * MINUTE, minutes: (key) => (key === 'settle' ? 65 : 20) });
  asAsked(living, ['dry'], {
    from: nowMs - DRY_FROM_H * HOUR,
    minutes: () => (DRY_FROM_H - ON_THE_PLATE_H - 0.2) * 60,
  });
  begun = nowMs - ON_THE_PLATE_H * HOUR;
  read('sublime');
  enter({ kind: 'started', step: 'sublime' }, begun);
  for (const [minutes, tempC] of PLATE) {
    const warmth = { is: 'exact' as const, value: tempC, unit: '°C' };
    enter(
      { kind: 'read', step: 'sublime', quantity: 'temperature', reading: warmth, place: '' },
      begun + minutes * MINUTE,
    );
  }
  return events;
}

/** Minutes on the plate, and what the thermometer in the sand said. */
const PLATE = [
  [14, 72],
  [28, 75],
  [40, 74],
] as const;
