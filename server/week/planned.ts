import type { WeekAnswer } from '#contract/api';
import { weekInputOf } from '#contract/week-input';
import type { Problem } from '#core/problem';
import { placeWeek, type Week } from '#core/week';

/** A plan holds for so long: what was not begun meanwhile is placed again. */
const HOLDS_MS = 10 * 60_000;

export interface PlannedWeek {
  readonly answer: WeekAnswer;
  readonly week: Week | null;
  readonly problem: Problem | null;
}

/** The week as it is planned now; placed once for as long as nothing is written and ten minutes have not gone by. */
export function plannedWeek(read: () => WeekAnswer, written: () => number): () => PlannedWeek {
  let known: { readonly at: number; readonly written: number; readonly planned: PlannedWeek } | undefined;
  return () => {
    const upto = written();
    if (known && known.written === upto && Date.now() - known.at < HOLDS_MS) return known.planned;
    const answer = read();
    const found = placeWeek(weekInputOf(answer));
    const planned = found.ok
      ? { answer, week: found.value, problem: null }
      : { answer, week: null, problem: found.problem };
    known = { at: Date.now(), written: upto, planned };
    return planned;
  };
}
