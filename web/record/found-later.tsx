import { Link } from 'react-router';
import { useBottles } from '../api/queries.ts';
import { dayText } from '../parts/day.ts';

/** What was measured and tested of the bottles that a batch became. */
export function FoundLater({ batchId }: { batchId: string }) {
  const bottles = useBottles();
  const own = (bottles.data ?? []).filter(
    ({ card, assays, tests }) => card.fromBatch === batchId && assays.length + tests.length > 0,
  );
  if (own.length === 0) return null;
  return (
    <>
      <h2>What was found of it</h2>
      <ul className="plain-list">
        {own.flatMap(({ id, card, assays, tests }) => [
          ...assays.map(({ eventId, at, said, measured }) => (
            <li key={eventId}>
              {dayText(at)}: <Link to={`/shelf/${id}`}>{card.name}</Link>, {said}{' '}
              <span className="quiet">{measured.method}</span>
            </li>
          )),
          ...tests.map(({ eventId, at, test, outcome, seen }) => (
            <li key={eventId}>
              {dayText(at)}: <Link to={`/shelf/${id}`}>{card.name}</Link>, {test}: {outcome}
              {seen ? <span className="quiet"> “{seen}”</span> : null}
            </li>
          )),
        ])}
      </ul>
    </>
  );
}
