import type { Problem } from '#base/problem';
import type { WeekAnswer } from '#contract/api';
import { weekInputOf } from '#contract/week-input';
import { placeWeek, type Week } from '#run/week';

/** A plan holds for so long: what was not begun meanwhile is placed again. */
const HOLDS_MS = 10 * 60_000;

export interface PlannedWeek {
  readonly answer: WeekAnswer;
  readonly week: Week | null;
  readonly problem: Problem | null;
}

/**
 * How it is placed: searched for as the page does it; or in the order of before, in a few milliseconds, for what is asked after every
 * entry at the bench.
 */
export type HowPlanned = 'searched' | 'as before';

/** The week as it is planned now; placed once for as long as nothing is written and ten minutes have not gone by. */
export function plannedWeek(read: () => WeekAnswer, written: () => number): (how: HowPlanned) => PlannedWeek {
  const known = new Map<HowPlanned, { readonly at: number; readonly written: number; readonly planned: PlannedWeek }>();
  let before: { readonly from: string; readonly order: Week['order']; readonly holds: Week['holds'] } | null = null;
  return (how) => {
    const upto = written();
    const had = known.get(how);
    if (had && had.written === upto && Date.now() - had.at < HOLDS_MS) return had.planned;
    const answer = read();
    const input = weekInputOf(answer);
    const kept = before && { order: before.order, holds: before.from === answer.laid.from ? before.holds : {} };
    const found = placeWeek(how === 'as before' && kept ? { ...kept, ...input } : input);
    const planned = found.ok
      ? { answer, week: found.value, problem: null }
      : { answer, week: null, problem: found.problem };
    if (found.ok) before = { from: answer.laid.from, order: found.value.order, holds: found.value.holds };
    known.set(how, { at: Date.now(), written: upto, planned });
    return planned;
  };
}
