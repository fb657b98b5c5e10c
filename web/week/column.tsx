import dayjs from 'dayjs';
import { Link } from 'react-router';
import type { BoardAnswer } from '#contract/api';
import { span } from '#web/parts/due-text.ts';
import { DrawnBatch } from './drawn.tsx';

type Running = BoardAnswer['running'][number];

/** One batch: drawn, whether it may be left, when it needs somebody and for what, how far it is. */
export function Column({ item, now }: { item: Running; now: number }) {
  const due = item.at === null ? null : Date.parse(item.at);
  const late = due !== null && due < now - 60_000;
  return (
    <li className={item.alone ? 'board-item' : 'board-item board-stay'}>
      <Link to={`/bench/${item.batchId}?step=${item.step}`} className="board-link">
        <DrawnBatch item={item} />
        <span className="board-band">{item.alone ? 'may be left' : 'stay with it'}</span>
        <span className="board-when">
          {due === null ? ANY[item.alone ? 'left' : 'stayed'] : whenText(due, now)}
          {due === null ? null : (
            <span className={late ? 'board-in late' : 'board-in'}>
              {late ? `${span(now - due)} late` : `in ${span(Math.max(0, due - now))}`}
            </span>
          )}
        </span>
        <span className="board-act">{item.act}</span>
      </Link>
      <span className="quiet small">
        {item.title}, {item.number}
      </span>
      {item.part === null ? null : (
        <span className="board-bar" aria-hidden="true">
          <i style={{ width: `${Math.round(100 * item.part)}%` }} />
        </span>
      )}
      <span className="small">{item.far}</span>
      <span className="small board-needs">
        needs {Math.max(1, Math.round(item.needsMin))} min{item.where === 'outdoors' ? ', outdoors' : ''}
      </span>
    </li>
  );
}

const ANY = { left: 'any time', stayed: 'now' } as const;

/** “18:00”, “Sat 18:00”, “12 Dec”. */
function whenText(at: number, now: number): string {
  const day = dayjs(at);
  if (day.isSame(dayjs(now), 'day')) return day.format('HH:mm');
  return Math.abs(at - now) < 6 * 86_400_000 ? day.format('ddd HH:mm') : day.format('D MMM');
}
