import { fail, ok, type Result } from '#base/problem';
import { type Asking, choicesFor } from '#run/choose';
import { productTitle } from '#run/plan';
import { runState } from '#run/state';
import { placeWeek, type WeekInput } from '#run/week';
import { tasksOf } from './tasks-of.ts';

/** When something that is not begun yet would be done, beside what is planned already. Minutes from the beginning of the week. */
export interface WhenAnswer {
  readonly title: string;
  readonly route: string;
  readonly beginsMin: number;
  /** Soonest and latest. */
  readonly doneMin: readonly [number, number];
  /** Of a person, and how many times one goes to it. */
  readonly handsOnMin: number;
  readonly visits: number;
  readonly steps: readonly { readonly title: string; readonly from: number; readonly earliest: number }[];
}

/** “60 g zinc sulfate”: by its first route, each step in the hours that the week leaves; nothing that is planned is moved for it. */
export function whenAsked(
  asking: Asking,
  { week, from, now }: { readonly week: WeekInput; readonly from: number; readonly now: number },
): Result<WhenAnswer> {
  const found = choicesFor({ ...asking, firstOnly: true });
  if (!found.ok) return found;
  const { choices } = found.value;
  const choice = choices.find(({ missing }) => missing.length === 0) ?? choices[0];
  if (!choice) {
    const [first] = found.value.problems;
    return first
      ? { ok: false, problem: first }
      : fail('invalid-input', 'Say how much of what: 60 g zinc sulfate.', { field: 'text' });
  }
  if (choice.problem) return { ok: false, problem: choice.problem };
  if (choice.missing.length > 0) return fail('missing-part', choice.missing.join(' '), { field: 'text' });
  const state = runState(choice.plan, []);
  if (!state.ok) return state;
  const title = productTitle(choice.plan);
  const tasks = tasksOf('asked', state.value, { from, now });
  const before = placeWeek(week);
  if (!before.ok) return before;
  const order = [...before.value.order, ...tasks.map(({ id }) => id)];
  const placed = placeWeek({ ...week, tasks: [...week.tasks, ...tasks], order, holds: before.value.holds });
  if (!placed.ok) return placed;
  const none = placed.value.left.find(({ id }) => id.startsWith('asked '));
  if (none) return fail('out-of-range', none.why, { field: 'week' });
  const steps = placed.value.placed.filter(({ id }) => id.startsWith('asked ')).sort((a, b) => a.from - b.from);
  const lastBand = steps.reduce((late, each) => (each.over[1] > late.over[1] ? each : late));
  const names = new Map(tasks.map(({ id, title: of }) => [id, of]));
  return ok({
    title,
    route: choice.title,
    beginsMin: steps[0]?.from ?? 0,
    doneMin: [lastBand.earliest + lastBand.over[0] - lastBand.from, lastBand.over[1]],
    handsOnMin: tasks.reduce((sum, { handsOnMin }) => sum + handsOnMin, 0),
    visits: sittings(steps),
    steps: steps.map(({ id, from: at, earliest }) => ({ title: names.get(id) ?? id, from: at, earliest })),
  });
}

/** Less than this between two steps is one visit, min. */
const SAME_VISIT_MIN = 30;

function sittings(steps: readonly { readonly from: number; readonly presentUntil: number }[]): number {
  let count = 0;
  let until = Number.NEGATIVE_INFINITY;
  for (const { from, presentUntil } of steps) {
    if (presentUntil <= from) continue;
    if (from > until + SAME_VISIT_MIN) count += 1;
    until = Math.max(until, presentUntil);
  }
  return count;
}
