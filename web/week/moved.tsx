import type { WeekAnswer } from '#contract/api';
import type { Week } from '#run/week';
import { type WeekNames, whyThere } from '../fits/sentences.ts';
import type { WeekClock } from '../parts/when-text.ts';

/** A step that stands so much elsewhere than it did has moved, min. */
const MOVED_MIN = 10;

/** Steps that stand elsewhere than in the plan that was kept. */
export function movedIn(
  { choices, tasks }: WeekAnswer,
  week: Week | undefined,
  clock: WeekClock,
): readonly Week['placed'][number][] {
  const begun = new Set(tasks.filter(({ startedMin }) => startedMin !== undefined).map(({ id }) => id));
  return (week?.placed ?? []).filter(({ id, from }) => {
    const said = Object.hasOwn(choices.said, id) ? choices.said[id] : undefined;
    return said !== undefined && !begun.has(id) && Math.abs(clock.min(Date.parse(said)) - from) > MOVED_MIN;
  });
}

interface MovedProps {
  readonly answer: WeekAnswer;
  readonly week: Week | undefined;
  readonly names: WeekNames;
  readonly clock: WeekClock;
}

/** What has moved since the plan was kept, from when to when, and why. */
export function Moved({ answer, week, names, clock }: MovedProps) {
  const moved = [...movedIn(answer, week, clock)].sort((a, b) => a.from - b.from);
  if (moved.length === 0) return null;
  return (
    <section aria-label="Moved since it was kept">
      <h2>Moved since it was kept</h2>
      <ul className="week-list">
        {moved.slice(0, 12).map((each) => (
          <li key={each.id}>
            {names.step(each.id)}: {clock.text(clock.min(Date.parse(answer.choices.said[each.id] ?? '')))} →{' '}
            <b>{clock.text(each.from)}</b> <span className="quiet small">{whyThere(each, names, clock)}</span>
          </li>
        ))}
      </ul>
      {moved.length > 12 ? <p className="quiet small">and {moved.length - 12} more</p> : null}
    </section>
  );
}
