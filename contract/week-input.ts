import type { BenchTask } from '#run/agenda';
import type { WeekInput } from '#run/week';
import type { WeekAnswer } from './api.ts';

const MINUTE_MS = 60_000;
/** A label, a filter folded, a wash: done beside a still that is only watched. */
const BESIDE_MIN = 10;

/** What a week is placed from: its tasks and hours, and the plan that was kept, where one was. */
export function weekInputOf({
  tasks,
  laid,
  choices,
  hours,
}: WeekAnswer): WeekInput & { readonly tasks: readonly BenchTask[] } {
  const from = Date.parse(laid.from);
  const { free, home, light, air } = laid;
  const ids = new Set(tasks.map(({ id }) => id));
  const holds = Object.entries(choices.holds)
    .filter(([id]) => ids.has(id))
    .map(([id, at]) => [id, Math.max(0, (Date.parse(at) - from) / MINUTE_MS)] as const);
  return {
    tasks,
    free,
    home,
    light,
    air,
    aim: choices.aim,
    besideMin: BESIDE_MIN,
    ...(hours.pieces ? { pieces: hours.pieces } : {}),
    ...(choices.order.length > 0 ? { order: choices.order, holds: Object.fromEntries(holds) } : {}),
  };
}
