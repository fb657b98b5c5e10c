import dayjs from 'dayjs';
import type { BoardAnswer } from '#contract/api';

type Running = BoardAnswer['running'][number];

const HOURS = 24;
const LEFT = 120;
const RIGHT = 880;
const ROW = 24;
const TOP = 30;
/** Nobody is at the bench before, or after. */
const NIGHT = { from: 22, to: 7 } as const;

/** The next day, a line for each batch: a drop where it needs somebody, with the minutes it takes; hatched where it may end. */
export function DayLine({ running, now }: { running: readonly Running[]; now: number }) {
  const height = TOP + running.length * ROW + 26;
  const xOf = (at: number) => LEFT + (Math.min(HOURS, Math.max(0, (at - now) / 3_600_000)) / HOURS) * (RIGHT - LEFT);
  return (
    <svg viewBox={`0 0 900 ${height}`} className="day-line" role="img" aria-label="The next twenty-four hours">
      {nights(now).map(([from, to]) => (
        <rect
          key={from}
          x={xOf(from)}
          y={TOP - 6}
          width={Math.max(0, xOf(to) - xOf(from))}
          height={height - TOP - 12}
          className="day-night"
        />
      ))}
      <text x={0} y={18} className="day-head">
        today
      </text>
      {marks(now).map((at) => (
        <text key={at} x={xOf(at)} y={18} textAnchor="middle" className="day-hour">
          {dayjs(at).format('HH')}
        </text>
      ))}
      <line x1={LEFT} x2={LEFT} y1={6} y2={height - 18} className="drawn-line" />
      {running.map((item, i) => {
        const y = TOP + i * ROW + ROW / 2;
        const due = item.at === null ? now : Date.parse(item.at);
        const end = item.until === null ? due : Math.max(due, Date.parse(item.until));
        return (
          <g key={item.batchId}>
            <text x={LEFT - 10} y={y + 4} textAnchor="end" className="day-name">
              {item.title.length > 17 ? `${item.title.slice(0, 16)}…` : item.title}
            </text>
            <line x1={LEFT} x2={xOf(due)} y1={y} y2={y} className="drawn-line" />
            {end > due ? (
              <rect x={xOf(due)} y={y - 5} width={Math.max(0, xOf(end) - xOf(due))} height={10} className="day-may" />
            ) : null}
            <circle cx={xOf(due)} cy={y} r={10} className={dropOf(item, now)} />
            <text x={xOf(due)} y={y + 4} textAnchor="middle" className="day-min">
              {Math.round(item.needsMin)}
            </text>
          </g>
        );
      })}
      <text x={LEFT} y={height - 4} className="day-foot">
        in a drop, the minutes it needs you; barred, it may end there; shaded, nobody at the bench
      </text>
    </svg>
  );
}

/** Due, or to be stayed with; at any time; or later. */
function dropOf({ at, alone }: Running, now: number): string {
  if (at === null) return alone ? 'day-drop day-any' : 'day-drop day-late';
  return Date.parse(at) <= now ? 'day-drop day-late' : 'day-drop';
}

/** Every third hour. */
function marks(now: number): number[] {
  const first = dayjs(now).startOf('hour').add(1, 'hour');
  return Array.from({ length: HOURS - 1 }, (_, i) => first.add(i, 'hour').valueOf()).filter(
    (at) => dayjs(at).hour() % 3 === 0,
  );
}

function nights(now: number): [number, number][] {
  return [-1, 0, 1].flatMap((day): [number, number][] => {
    const from = dayjs(now).startOf('day').add(day, 'day').hour(NIGHT.from).valueOf();
    const to = dayjs(now)
      .startOf('day')
      .add(day + 1, 'day')
      .hour(NIGHT.to)
      .valueOf();
    return to > now && from < now + HOURS * 3_600_000 ? [[Math.max(from, now), to]] : [];
  });
}
