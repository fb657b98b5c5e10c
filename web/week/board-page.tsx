import { Link } from 'react-router';
import { listed } from '#base/units';
import type { BoardAnswer } from '#contract/api';
import { sentenceOf } from '../api/client.ts';
import { useBoard } from '../api/queries.ts';
import { span } from '../parts/due-text.ts';
import { useNow } from '../parts/use-now.ts';
import { AwayBanner } from './away-banner.tsx';
import { Column } from './column.tsx';
import { Today } from './today.tsx';
import './board.css';

/** The bench: what stands on it, what needs somebody next and when, and the plans that wait for it. */
export function BoardPage() {
  const board = useBoard();
  const now = useNow(30_000);
  if (board.isPending) return <p className="waiting-block">Loading the bench …</p>;
  if (board.isLoadingError) return <p className="problem">{sentenceOf(board.error)}</p>;
  const { running, kept } = board.data;
  return (
    <>
      <AwayBanner now={now} />
      <Headline running={running} now={now} />
      <p className="board-ways">
        <Link to="/bench/leaving">I must leave</Link> <Link to="/bench/week">Plan the week</Link>
      </p>
      {running.length === 0 ? (
        <p className="waiting-block">
          Nothing is running. <Link to="/plan">Plan something</Link>, then take it to the bench.
        </p>
      ) : null}
      <ul className="board-items" aria-label="On the bench">
        {running.map((item) => (
          <Column key={item.batchId} item={item} now={now} />
        ))}
      </ul>
      <Today now={now} />
      {kept.length > 0 ? <Kept kept={kept} /> : null}
    </>
  );
}

function whenSaid(due: number | null, now: number): string {
  if (due === null) return 'when you like';
  return due <= now ? 'now' : `in ${span(due - now)}`;
}

/** What comes next, large; and whether anything must be stayed with. */
function Headline({ running, now }: { running: BoardAnswer['running']; now: number }) {
  const [first] = running;
  if (!first) return <h1>On the bench</h1>;
  const due = first.at === null ? null : Date.parse(first.at);
  const when = whenSaid(due, now);
  return (
    <>
      <h1 className="board-head">
        {first.act}, {first.title}: {when}.
      </h1>
      <p className="board-sub">{meanwhile(running, now)}</p>
    </>
  );
}

/** What must be stayed with, what is due besides, and whether the rest can wait. */
function meanwhile(running: BoardAnswer['running'], now: number): string {
  const names = (items: BoardAnswer['running']) => listed(items.map(({ title }) => title));
  const stays = running.filter(({ alone }) => !alone);
  const due = running.filter(({ alone, at }) => alone && at !== null && Date.parse(at) <= now);
  if (stays.length > 0) {
    const rest =
      due.length > 0 ? `${names(due)} ${due.length > 1 ? 'are' : 'is'} due too.` : 'Everything else can wait.';
    return `Stay with ${names(stays)}. ${rest}`;
  }
  return due.length > 0 ? 'Nothing here must be stayed with.' : 'All that stands here may be left until then.';
}

/** Plans that are kept, with what they lack on the shelf. */
function Kept({ kept }: { kept: BoardAnswer['kept'] }) {
  return (
    <section className="board-kept" aria-label="Kept plans">
      <h2>Kept plans</h2>
      <ul className="plain-list">
        {kept.map(({ batchId, number, title, short }) => (
          <li key={batchId}>
            <Link to={`/bench/${batchId}`}>
              {number}. {title}
            </Link>{' '}
            <Link to={`/plan/${batchId}`} className="small">
              change the plan
            </Link>
            {short.length === 0 ? (
              <p className="within small">all is on the shelf</p>
            ) : (
              short.map((each) => (
                <p key={each} className="problem small">
                  {each}
                </p>
              ))
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
