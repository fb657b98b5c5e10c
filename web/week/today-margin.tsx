import { Link } from 'react-router';
import { listed } from '#base/units';
import type { WeekAnswer } from '#contract/api';
import type { Week, WeekInput } from '#run/week';
import { FitsNow } from '../fits/fits-now.tsx';
import type { WeekNames } from '../fits/sentences.ts';
import type { WeekClock } from '../parts/when-text.ts';
import { BeforeDark } from './before-dark.tsx';
import { WhatStandsTogether } from './what-stands-together.tsx';

interface TodayMarginProps {
  readonly answer: WeekAnswer;
  readonly week: Week | undefined;
  readonly input: WeekInput;
  readonly names: WeekNames;
  readonly clock: WeekClock;
  readonly nowMin: number;
}

/** Beside the bench: leaving it, what fits now, what is to be done before dark, the week. */
export function TodayMargin({ answer, week, input, names, clock, nowMin }: TodayMarginProps) {
  const stays = answer.tasks.filter(({ wait, startedMin }) => wait === 'stay' && startedMin !== undefined);
  return (
    <>
      <section aria-label="Leaving">
        <h2>If you must leave</h2>
        <p>
          {stays.length > 0
            ? `${listed([...new Set(stays.map(({ batch }) => names.batch(batch)))])}: not to be left as ${stays.length > 1 ? 'they are' : 'it is'}. What to make safe first, and what it costs, stands here:`
            : 'Nothing that runs has to be stayed with. What falls due meanwhile stands here:'}
        </p>
        <Link to="/bench/leaving" className="act week-act">
          I am leaving
        </Link>
      </section>
      <FitsNow answer={answer} input={input} names={names} clock={clock} nowMin={nowMin} />
      <WhatStandsTogether tasks={answer.tasks} names={names} />
      {week ? <BeforeDark answer={answer} week={week} clock={clock} nowMin={nowMin} /> : null}
    </>
  );
}
