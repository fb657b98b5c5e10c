import { Link, useSearchParams } from 'react-router';
import { sentenceOf } from '../api/client.ts';
import { useBack } from '../api/week.ts';
import { whenSaid } from '../parts/when-text.ts';
import './leaving.css';

/** Back at the bench: what to look at first, what was missed meanwhile. */
export function BackPage() {
  const [search] = useSearchParams();
  const back = useBack(search.get('left'));
  if (search.get('left') === null)
    return (
      <p className="problem">
        Since when you were away is not said. <Link to="/bench">To the bench</Link>
      </p>
    );
  if (back.isPending) return <p className="waiting-block">Looking at what happened meanwhile …</p>;
  if (back.isError) return <p className="problem">{sentenceOf(back.error)}</p>;
  const { items, left, now } = back.data;
  const present = Date.parse(now);
  const missed = items.filter((item) => item.missed || item.kind === 'alarm');
  const rest = items.filter((item) => !missed.includes(item));
  return (
    <div className="leaving">
      <h1 className="leaving-head">Back at the bench</h1>
      <p className="leaving-sub">You were away since {whenSaid(Date.parse(left), present)}.</p>
      <section aria-label="Look at first">
        <h2>{missed.length === 0 ? 'Nothing was missed' : 'Look at these first'}</h2>
        <ol className="leaving-list">
          {missed.map(({ batchId, step, text, at, kind }) => (
            <li key={batchId + step + text}>
              <Link to={`/bench/${batchId}?step=${step}`} className={kind === 'alarm' ? 'stop' : ''}>
                {text}
              </Link>{' '}
              {at !== null && kind !== 'alarm' ? (
                <span className="watch small">was due {whenSaid(Date.parse(at), present)}</span>
              ) : null}
            </li>
          ))}
        </ol>
      </section>
      {rest.length > 0 ? (
        <section aria-label="Then">
          <h2>Then</h2>
          <ul className="leaving-list">
            {rest.map(({ batchId, step, text, at }) => (
              <li key={batchId + step + text}>
                <b className="mono">{at === null ? 'any time' : whenSaid(Date.parse(at), present)}</b>{' '}
                <Link to={`/bench/${batchId}?step=${step}`}>{text}</Link>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      <p>
        <Link to="/bench">To the bench</Link>
      </p>
    </div>
  );
}
