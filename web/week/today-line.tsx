import dayjs from 'dayjs';
import { type Stretch, without } from '#base/time';
import type { WeekAnswer } from '#contract/api';
import type { Week } from '#run/week';
import type { WeekNames } from '../fits/sentences.ts';
import './today-line.css';

const HOURS = 24;
const LEFT = 150;
const RIGHT = 890;
const ROW = 24;
const TOP = 32;
/** Words that begin further right than this end there. */
const ENDS = 700;

interface TodayLineProps {
  readonly answer: WeekAnswer;
  readonly week: Week;
  readonly names: WeekNames;
  readonly nowMin: number;
}

/** The next twenty-four hours: a drop where a batch wants somebody, with the minutes; hatched where a wait may end; dark, sleep, your hours. */
export function TodayLine({ answer, week, names, nowMin }: TodayLineProps) {
  const span: Stretch = [nowMin, nowMin + HOURS * 60];
  const tasks = new Map(answer.tasks.map((task) => [task.id, task]));
  const within = week.placed.filter(({ from, over }) => over[1] >= span[0] && from < span[1]);
  const rows = [
    ...new Set(within.flatMap(({ id }) => (tasks.get(id)?.step === '' ? [] : (tasks.get(id)?.batch ?? [])))),
  ];
  const height = TOP + rows.length * ROW + 40;
  const x = (min: number) =>
    LEFT + ((Math.min(span[1], Math.max(span[0], min)) - span[0]) / (HOURS * 60)) * (RIGHT - LEFT);
  const box = ([from, to]: Stretch) => ({ x: x(from), width: Math.max(0, x(to) - x(from)) });
  const { laid } = answer;
  const dark = laid.lightKnown ? without([span], laid.light) : [];
  const asleep = without([span], laid.home).filter(([from]) => from > nowMin);
  const start = dayjs(laid.from);
  const foot = height - 22;
  return (
    <svg viewBox={`0 0 920 ${height}`} className="today-line" role="img" aria-label="The next twenty-four hours">
      <defs>
        <pattern id="today-hatch" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" x2="0" y1="0" y2="5" className="today-hatch" />
        </pattern>
      </defs>
      {dark.map((each) => (
        <g key={each[0]}>
          <rect {...box(each)} y={TOP - 14} height={foot - TOP + 14} className="today-dark" />
          {each[0] > nowMin ? (
            <text x={x(each[0])} y={height - 6} textAnchor={x(each[0]) > ENDS ? 'end' : 'start'}>
              dark from {start.add(each[0], 'minute').format('HH:mm')}: nothing outdoors
            </text>
          ) : null}
          {each[1] < span[1] ? (
            <text x={x(each[1])} y={height - 6}>
              light from {start.add(each[1], 'minute').format('HH:mm')}
            </text>
          ) : null}
        </g>
      ))}
      {asleep.map((each) => (
        <rect key={each[0]} {...box(each)} y={TOP - 6} height={foot - TOP} className="today-asleep" />
      ))}
      <text x={0} y={16} className="today-name">
        today
      </text>
      {hoursIn(span, start).map(([min, text]) => (
        <text key={min} x={x(min)} y={16} textAnchor="middle">
          {text}
        </text>
      ))}
      {laid.free.map((each) =>
        each[1] > span[0] && each[0] < span[1] ? (
          <rect key={each[0]} {...box(each)} y={22} height={4} className="today-there" />
        ) : null,
      )}
      <line x1={LEFT} x2={LEFT} y1={6} y2={foot} className="drawn-line" />
      {rows.map((batch, i) => {
        const y = TOP + i * ROW + ROW / 2;
        const name = names.batch(batch);
        const own = within.filter(({ id }) => tasks.get(id)?.batch === batch);
        return (
          <g key={batch}>
            <text x={LEFT - 10} y={y + 4} textAnchor="end" className="today-name">
              {name.length > 19 ? `${name.slice(0, 18)}…` : name}
            </text>
            {own.map(({ id, handsOffAt, over }) => (
              <g key={id}>
                {over[1] > handsOffAt ? (
                  <line x1={x(handsOffAt)} x2={x(over[1])} y1={y} y2={y} className="drawn-line" />
                ) : null}
                {over[1] - over[0] > 5 && over[1] > nowMin ? (
                  <rect {...box([over[0], over[1]])} y={y - 4} height={8} className="today-may" />
                ) : null}
              </g>
            ))}
            {drops(own, tasks, nowMin).map(({ min, minutes, stays }) => (
              <g key={min}>
                {stays > 0 ? <rect {...box([min, min + stays])} y={y - 6} height={12} className="today-stays" /> : null}
                <path
                  transform={`translate(${x(min)} ${y})`}
                  d="M0-12C3-7 8-4 8 2a8 8 0 0 1-16 0C-8-4-3-7 0-12z"
                  className="today-drop"
                />
                <text x={x(min)} y={y + 6} textAnchor="middle" className="today-min">
                  {minutes < 100 ? Math.round(minutes) : `${Math.round(minutes / 60)}h`}
                </text>
              </g>
            ))}
          </g>
        );
      })}
    </svg>
  );
}

/** Where hands are wanted: steps that follow one another closely are one drop, with their minutes together. */
function drops(own: Week['placed'], tasks: ReadonlyMap<string, WeekAnswer['tasks'][number]>, nowMin: number) {
  const found: { min: number; minutes: number; stays: number; until: number }[] = [];
  for (const { id, from, handsOffAt, presentUntil } of [...own].sort((a, b) => a.from - b.from)) {
    const task = tasks.get(id);
    const begun = task?.startedMin !== undefined;
    const min = Math.max(from, nowMin);
    const minutes = begun ? 0 : handsOffAt - from;
    const stays = presentUntil - Math.max(min, handsOffAt);
    if (minutes <= 0 && stays <= 5) continue;
    const last = found.at(-1);
    if (last && min - last.until < 45) {
      last.minutes += minutes;
      last.until = Math.max(last.until, presentUntil);
      last.stays = stays > 5 ? last.until - last.min : last.stays;
    } else
      found.push({
        min,
        minutes: minutes > 0 ? minutes : stays,
        stays: stays > 5 ? presentUntil - min : 0,
        until: presentUntil,
      });
  }
  return found;
}

/** Every third hour of the clock. */
function hoursIn([from, to]: Stretch, start: dayjs.Dayjs): readonly (readonly [number, string])[] {
  const all: (readonly [number, string])[] = [];
  for (let min = Math.ceil(from / 60) * 60; min <= to; min += 60) {
    const hour = start.add(min, 'minute');
    if (hour.hour() % 3 === 0) all.push([min, hour.format('HH')]);
  }
  return all;
}
