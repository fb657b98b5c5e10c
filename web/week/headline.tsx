import type { WeekAnswer } from '#contract/api';
import type { Week } from '#run/week';
import type { WeekNames } from '../fits/sentences.ts';
import { lengthText, type WeekClock } from '../parts/when-text.ts';

interface HeadlineProps {
  readonly answer: WeekAnswer;
  readonly week: Week | undefined;
  /** It is being placed. */
  readonly busy: boolean;
  readonly names: WeekNames;
  readonly clock: WeekClock;
}

/** What comes next and when, and what the days cost. */
export function Headline({ answer, week, busy, names, clock }: HeadlineProps) {
  if (answer.tasks.length === 0) return <h1>Nothing wants you this week</h1>;
  if (!week)
    return (
      <>
        <h1 className="week-head">The week at the bench</h1>
        {busy ? (
          <p className="week-sub" role="status">
            Placing {answer.tasks.length} steps …
          </p>
        ) : null}
      </>
    );
  const begun = new Set(answer.tasks.filter(({ startedMin }) => startedMin !== undefined).map(({ id }) => id));
  const [next] = [...week.placed]
    .filter(({ id, from, presentUntil }) => !begun.has(id) && presentUntil > from)
    .sort((a, b) => a.from - b.from);
  return (
    <>
      <h1 className="week-head">
        {next
          ? `${clock.text(next.from)}: ${names.step(next.id).replace(/[“”]/g, '')}.`
          : 'Nothing more wants you in these days.'}
      </h1>
      <p className="week-sub">
        About {lengthText(week.thereMin)} at the bench in {week.sittings} {week.sittings === 1 ? 'visit' : 'visits'};{' '}
        {week.nights === 0 ? 'nothing stands over night' : `batches and nights: ${week.nights}`}; the last of it over by{' '}
        {clock.text(week.overAt)}.
      </p>
    </>
  );
}
