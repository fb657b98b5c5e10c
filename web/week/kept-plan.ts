import type { Week, WeekChoices } from '#run/week';
import type { WeekClock } from '../parts/when-text.ts';

/** A plan as it is kept: its order and held-back batches, so that it stays as it is; and where each step stood, so that what moves is seen. */
export function keptPlan(week: Week, clock: WeekClock): Pick<WeekChoices, 'order' | 'holds' | 'said'> {
  const instants = (all: readonly (readonly [string, number])[]) =>
    Object.fromEntries(all.map(([id, min]) => [id, new Date(clock.at(min)).toISOString()]));
  return {
    order: week.order,
    holds: instants(Object.entries(week.holds)),
    said: instants(week.placed.map(({ id, from }) => [id, from])),
  };
}
