import { Link } from 'react-router';
import { sentenceOf } from '../api/client.ts';
import { useBatches } from '../api/queries.ts';
import { dayText } from '../parts/day.ts';
import './bench.css';

/** What is on the bench, and what is planned for it. */
export function BenchList() {
  const batches = useBatches();
  if (batches.isPending) return <p className="waiting-block">Loading the bench …</p>;
  if (batches.isError) return <p className="problem">{sentenceOf(batches.error)}</p>;
  const running = batches.data.filter((each) => each.status === 'running');
  const planned = batches.data.filter((each) => each.status === 'planned');
  return (
    <>
      <h1>On the bench</h1>
      {running.length === 0 ? (
        <p className="waiting-block">
          Nothing is running. <Link to="/plan">Plan something</Link>, then take it to the bench.
        </p>
      ) : null}
      <ul className="plain-list">
        {running.map(({ id, number, title, startedAt }) => (
          <li key={id}>
            <Link to={`/bench/${id}`}>
              {number}. {title}
            </Link>
            <span className="quiet"> begun {startedAt ? dayText(startedAt) : ''}</span>
          </li>
        ))}
      </ul>
      {planned.length > 0 ? <h2>Planned</h2> : null}
      <ul className="plain-list">
        {planned.map(({ id, number, title }) => (
          <li key={id}>
            <Link to={`/bench/${id}`}>
              {number}. {title}
            </Link>{' '}
            <Link to={`/plan/${id}`} className="small">
              change the plan
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}
