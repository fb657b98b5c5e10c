import { useMemo } from 'react';
import { Link } from 'react-router';
import { parseQuantity } from '#base/units';
import type { WeekAnswer } from '#contract/api';
import { weekInputOf } from '#contract/week-input';
import { useBench, useBottles } from '../api/queries.ts';
import { useRoutesInUse } from '../api/routes.ts';
import { useWeek } from '../api/week.ts';
import { today } from '../parts/day.ts';
import { useNow } from '../parts/use-now.ts';
import { lengthText, weekClock } from '../parts/when-text.ts';
import { useCompute } from '../worker/compute.ts';
import { Fitting } from './fits-now.tsx';
import { namesOf } from './sentences.ts';

const LINE = /^\s*(when|fits)\b\s*:?\s*(.*)$/is;

/** “when 60 g zinc sulfate”, “fits 2 h”: answered from one’s own bench and hours. */
export function AskedOfTheWeek({ text }: { text: string }) {
  const { data } = useWeek();
  const [, word = '', rest = ''] = LINE.exec(text) ?? [];
  if (rest.trim() === '')
    return <p className="quiet small">{word.toLowerCase() === 'when' ? 'when 60 g zinc sulfate' : 'fits 2 h'}</p>;
  if (!data) return <p className="quiet small">Looking at the week …</p>;
  return word.toLowerCase() === 'when' ? <When answer={data} text={rest} /> : <Fits answer={data} text={rest} />;
}

function Fits({ answer, text }: { answer: WeekAnswer; text: string }) {
  const now = useNow(60_000);
  const input = useMemo(() => weekInputOf(answer), [answer]);
  const read = parseQuantity(text, ['time']);
  if (!read.ok) return <p className="problem small">{read.problem.message}</p>;
  const clock = weekClock(answer.laid.from, now);
  return (
    <Fitting
      answer={answer}
      input={input}
      names={namesOf(answer)}
      clock={clock}
      fromMin={Math.max(0, clock.min(now))}
      minutes={read.value.value / 60}
    />
  );
}

function When({ answer, text }: { answer: WeekAnswer; text: string }) {
  const bottles = useBottles();
  const bench = useBench();
  const routes = useRoutesInUse();
  const { now, laid } = answer;
  const asked = useMemo(() => {
    if (!bottles.data || !bench.data) return undefined;
    const shelf = bottles.data.map(({ id, card, usedG, archived }) => ({ id, card, usedG, archived }));
    return {
      text,
      shelf,
      bench: bench.data.bench,
      today: today(),
      routes,
      week: weekInputOf(answer),
      from: laid.from,
      now,
    };
  }, [bottles.data, bench.data, routes, answer, laid.from, now, text]);
  const { value, problem, busy } = useCompute('when', asked);
  if (problem) return <p className="problem small">{problem.message}</p>;
  if (!value || busy) return <p className="quiet small">Looking for a place in the week …</p>;
  const clock = weekClock(laid.from, Date.parse(now));
  const [soonest, latest] = value.doneMin;
  return (
    <>
      <p>
        <b>{latest - soonest < 10 ? clock.text(latest) : `${clock.text(soonest)} to ${clock.text(latest)}`}</b>, begun{' '}
        {clock.text(value.beginsMin)}: {value.title}, {value.route}.
      </p>
      <p className="small">
        About {lengthText(value.handsOnMin)} of hands in {value.visits} {value.visits === 1 ? 'visit' : 'visits'},
        beside what is planned already. <Link to={`/plan?make=${encodeURIComponent(text.trim())}`}>Plan it</Link>
      </p>
    </>
  );
}
