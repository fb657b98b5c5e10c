import { useMemo } from 'react';
import { sentenceOf } from '../api/client.ts';
import { useWeek } from '../api/week.ts';
import { namesOf } from '../fits/sentences.ts';
import { InMargin } from '../parts/margin.tsx';
import { weekClock } from '../parts/when-text.ts';
import { TodayLine } from './today-line.tsx';
import { TodayMargin } from './today-margin.tsx';
import { usePlanned } from './use-planned.ts';
import './week.css';

/** Today as the week has it: the next day as a line, and beside it leaving, what fits now, the dark. */
export function Today({ now }: { now: number }) {
  const { data: answer, isLoadingError, error } = useWeek();
  const { week, input, problem } = usePlanned(answer, null);
  const names = useMemo(() => (answer ? namesOf(answer) : undefined), [answer]);
  const clock = useMemo(() => (answer ? weekClock(answer.laid.from, now) : undefined), [answer, now]);
  if (isLoadingError) return <p className="problem">{sentenceOf(error)}</p>;
  if (!answer || !names || !clock) return null;
  const nowMin = clock.min(now);
  return (
    <>
      {problem ? <p className="problem">{problem.message}</p> : null}
      {week && week.placed.length > 0 ? <TodayLine answer={answer} week={week} names={names} nowMin={nowMin} /> : null}
      {input ? (
        <InMargin>
          <TodayMargin answer={answer} week={week} input={input} names={names} clock={clock} nowMin={nowMin} />
        </InMargin>
      ) : null}
    </>
  );
}
