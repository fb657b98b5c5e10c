import { Link } from 'react-router';
import type { WeekAnswer } from '#contract/api';
import type { Week } from '#run/week';
import { lengthText, type WeekClock } from '../parts/when-text.ts';

interface BeforeDarkProps {
  readonly answer: WeekAnswer;
  readonly week: Week;
  readonly clock: WeekClock;
  readonly nowMin: number;
}

/** What is done outdoors today, how long it is light, and when the next of it comes where nothing more does today. */
export function BeforeDark({ answer, week, clock, nowMin }: BeforeDarkProps) {
  const { laid, tasks } = answer;
  const outdoors = new Set(
    tasks.filter(({ daylight, startedMin }) => daylight && startedMin === undefined).map(({ id }) => id),
  );
  const ahead = week.placed.filter(({ id }) => outdoors.has(id)).sort((a, b) => a.from - b.from);
  if (outdoors.size === 0) return null;
  const now = laid.light.find(([from, to]) => from <= nowMin && to > nowMin);
  const today = now ? ahead.filter(({ from }) => from < now[1]) : [];
  const titles = new Map(tasks.map(({ id, title }) => [id, title]));
  const [next] = ahead;
  return (
    <section aria-label="Before dark">
      <h2>Before dark</h2>
      {now ? (
        <p>
          {laid.lightKnown ? 'Light' : 'Light, about,'} until {clock.exact(now[1])}: {lengthText(now[1] - nowMin)} more.
        </p>
      ) : (
        <p>It is dark, or raining: nothing outdoors now.</p>
      )}
      {today.length > 0 ? (
        <ul className="week-list">
          {today.map(({ id, from }) => (
            <li key={id}>
              <b className="mono">{clock.hour(from)}</b> {titles.get(id)}
            </li>
          ))}
        </ul>
      ) : null}
      {today.length === 0 && next ? (
        <p className="small">
          Next outdoors: {titles.get(next.id)}, {clock.text(next.from)}.
        </p>
      ) : null}
      {laid.lightKnown ? null : (
        <p className="quiet small">
          Where the bench is was never said: under <Link to="/bench/week">Your hours</Link> sunrise and sunset are
          computed from it.
        </p>
      )}
    </section>
  );
}
