import { must } from '#base/lookup';
import type { RunEvent } from '#run/log';
import type { Plan } from '#run/plan';
import { asAsked, entering } from './as-asked.ts';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;

export const ESTER = { target: '30 g isoamyl formate', routeId: 'isoamyl-formate' } as const;

/** Hours before now: weighed in, warm, in ice, neutralised, in the funnel. */
const BEGAN_H = 5.4;
const WARM_H = [4.9, 1.6] as const;
const NEUTRAL_H = 1.3;
const IN_FUNNEL_H = 0.15;

/** Warmth of the bath by the hour. */
const BATH = [
  [4.6, 58],
  [3.6, 62],
  [2.4, 61],
] as const;

/** An ester kept warm for an afternoon, neutralised in the cold, now in its funnel waiting to part. */
export function esterInFunnel(plan: Plan, nowMs: number, id: (prefix: string) => string): RunEvent[] {
  const events: RunEvent[] = [];
  const living = { plan, events, id };
  const enter = entering(events, id);
  const ago = (hours: number) => nowMs - hours * HOUR;
  asAsked(living, ['ready', 'alcohol', 'acid', 'catalyst'], { from: ago(BEGAN_H), minutes: () => 6 });
  asAsked(living, ['warm'], { from: ago(WARM_H[0]), minutes: () => (WARM_H[0] - WARM_H[1]) * 60 });
  const ended = must(events.pop(), 'events');
  for (const [hours, tempC] of BATH) {
    const reading = { is: 'exact' as const, value: tempC, unit: '°C' };
    enter({ kind: 'read', step: 'warm', quantity: 'temperature', reading, place: '' }, ago(hours));
  }
  events.push(ended);
  asAsked(living, ['water', 'base'], { from: ago(NEUTRAL_H), minutes: (key) => (key === 'base' ? 45 : 20) });
  enter(
    {
      kind: 'noted',
      step: 'base',
      text: 'Foam a third of the way to the rim, ice under it. Quiet after the ninth spoon.',
    },
    ago(0.3),
  );
  enter({ kind: 'started', step: 'part' }, ago(IN_FUNNEL_H));
  return events;
}
