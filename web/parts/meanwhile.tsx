import { useMemo } from 'react';
import { Link } from 'react-router';
import { useLessons } from '../api/lessons.ts';
import { useBench, useBottles, useClock } from '../api/queries.ts';
import { useCompute } from '../worker/compute.ts';
import { today } from './day.ts';
import { dueText } from './due-text.ts';
import { useNow } from './use-now.ts';

/** Fewer than this part of a bottle is low. */
const LOW = 0.15;
const MOST = 4;

/** What stands in the margin while nothing else does: what is due, what runs low, what was learnt last. */
export function Meanwhile() {
  const clock = useClock();
  const lessons = useLessons();
  const now = useNow(30_000);
  const low = useLow();
  const due = (clock.data?.items ?? []).slice(0, MOST);
  const learnt = (lessons.data ?? []).filter((each) => each.retiredAt === null).slice(0, MOST - 1);
  return (
    <div className="meanwhile">
      <h2>Due</h2>
      {due.length === 0 ? <p className="quiet">Nothing is running.</p> : null}
      <ul className="plain-list">
        {due.map((item) => (
          <li key={`${item.batchId}:${item.step}:${item.text}`}>
            <Link to={`/bench/${item.batchId}?step=${item.step}`}>{item.text}</Link>{' '}
            <span className={dueText(item, now).late ? 'watch' : 'quiet'}>{dueText(item, now).text}</span>
          </li>
        ))}
      </ul>
      {low.length > 0 ? (
        <>
          <h2>Running low</h2>
          <ul className="plain-list">
            {low.map(({ id, name, left }) => (
              <li key={id}>
                <Link to={`/shelf?bottle=${id}`}>{name}</Link> <span className="watch">{left}</span>
              </li>
            ))}
          </ul>
        </>
      ) : null}
      {learnt.length > 0 ? (
        <>
          <h2>Learnt</h2>
          <ul>
            {learnt.map((each) => (
              <li key={each.id}>{each.text}</li>
            ))}
          </ul>
        </>
      ) : null}
    </div>
  );
}

/** Bottles that are nearly used up, by what they hold. */
function useLow(): readonly { id: string; name: string; left: string }[] {
  const bottles = useBottles();
  const bench = useBench();
  const own = useMemo(
    () => (bottles.data ?? []).filter(({ archived, card, usedG }) => !archived && card.group !== 'waste' && usedG > 0),
    [bottles.data],
  );
  const faces = useCompute(
    'shelf',
    useMemo(
      () =>
        bench.data && own.length > 0
          ? {
              bottles: own.map(({ id, card, usedG, archived }) => ({ id, card, usedG, archived })),
              tempC: bench.data.bench.tempC,
              today: today(),
            }
          : undefined,
      [own, bench.data],
    ),
  );
  return own.flatMap(({ id, card }, i) => {
    const level = faces.value?.[i]?.level;
    return level !== undefined && level !== null && level < LOW
      ? [{ id, name: card.name, left: `${Math.round(100 * level)} % left` }]
      : [];
  });
}
