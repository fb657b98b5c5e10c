import dayjs from 'dayjs';
import { type Stretch, without } from '#base/time';
import type { WeekAnswer } from '#contract/api';
import type { Week } from '#run/week';
import type { WeekNames } from '../fits/sentences.ts';

const LEFT = 160;
const RIGHT = 900;
const ROW = 20;
const TOP = 30;
const DROP = 5;
const CHORES = 'chores';

interface WeekLineProps {
  readonly answer: WeekAnswer;
  readonly week: Week;
  readonly names: WeekNames;
  /** Minutes of the week that are shown. */
  readonly span: Stretch;
  readonly nowMin: number;
  readonly chosen: string | null;
}

/** The batches one under another over the days: a drop where hands are wanted, a line while it waits, hatched where it may be over. */
export function WeekLine({ answer, week, names, span, nowMin, chosen }: WeekLineProps) {
  const tasks = new Map(answer.tasks.map((task) => [task.id, task]));
  // What is done in one go stands in one row.
  const rowOf = (id: string) => {
    const task = tasks.get(id);
    return task?.step === '' ? CHORES : task?.batch;
  };
  const rows = [...new Set(week.placed.flatMap(({ id }) => rowOf(id) ?? []))]
    .map((batch) => ({ batch, placed: week.placed.filter(({ id }) => rowOf(id) === batch) }))
    .filter(({ placed }) => placed.some(({ from, over }) => over[1] > span[0] && from < span[1]));
  const height = TOP + rows.length * ROW + 22;
  const x = (min: number) =>
    LEFT + ((Math.min(span[1], Math.max(span[0], min)) - span[0]) / (span[1] - span[0])) * (RIGHT - LEFT);
  const bar = ([from, to]: Stretch) => ({ x: x(from), width: Math.max(0, x(to) - x(from)) });
  const asleep = without([span], answer.laid.home).filter(([, to]) => to > nowMin);
  const start = dayjs(answer.laid.from);
  return (
    <svg viewBox={`0 0 920 ${height}`} className="week-line" role="img" aria-label="The batches over the days">
      <defs>
        <pattern id="week-hatch" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" x2="0" y1="0" y2="5" className="week-hatch" />
        </pattern>
      </defs>
      {asleep.map((each) => (
        <rect key={each[0]} {...bar(each)} y={TOP - 8} height={height - TOP - 10} className="week-asleep" />
      ))}
      {answer.laid.free.map((each) => (
        <rect key={each[0]} {...bar(each)} y={TOP - 8} height={4} className="week-there" />
      ))}
      {Array.from({ length: Math.round((span[1] - span[0]) / 1440) }, (_, i) => span[0] + i * 1440).map((min) => (
        <g key={min}>
          <line x1={x(min)} x2={x(min)} y1={8} y2={height - 18} className="week-midnight" />
          <text x={x(min) + 4} y={16} className="week-hour">
            {start.add(min + 60, 'minute').format('ddd D')}
          </text>
        </g>
      ))}
      {rows.map(({ batch, placed }, i) => {
        const y = TOP + i * ROW + ROW / 2;
        const name = batch === CHORES ? 'assays and bottles' : names.batch(batch);
        return (
          <g key={batch}>
            <text x={LEFT - 10} y={y + 4} textAnchor="end" className="week-name">
              {name.length > 20 ? `${name.slice(0, 19)}…` : name}
            </text>
            {placed.map(({ id, from, handsOffAt, over }) => (
              <g key={id}>
                {over[1] > handsOffAt ? (
                  <line x1={x(handsOffAt)} x2={x(over[1])} y1={y} y2={y} className="drawn-line" />
                ) : null}
                {over[1] > over[0] ? (
                  <rect {...bar([over[0], over[1]])} y={y - 4} height={8} className="week-may" />
                ) : null}
                {from >= span[0] && from < span[1] ? (
                  <circle
                    cx={x(from)}
                    cy={y}
                    r={chosen === id ? DROP + 3 : DROP}
                    className={chosen === id ? 'week-dot week-dot-chosen' : 'week-dot'}
                  />
                ) : null}
              </g>
            ))}
          </g>
        );
      })}
      {nowMin >= span[0] && nowMin <= span[1] ? (
        <line x1={x(nowMin)} x2={x(nowMin)} y1={8} y2={height - 18} className="week-now" />
      ) : null}
      <text x={LEFT} y={height - 4} className="week-foot">
        a dot, your hands; a line, it waits; hatched, it may be over; shaded, everybody asleep; green above, you at the
        bench
      </text>
    </svg>
  );
}
