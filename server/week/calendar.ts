import ical, { ICalCalendarMethod } from 'ical-generator';
import type { PlannedWeek } from './planned.ts';

const MINUTE_MS = 60_000;
/** Shown as so long at least: a calendar draws nothing of a minute. */
const LEAST_MIN = 5;
const HOUR_S = 3600;

interface Published {
  readonly planned: PlannedWeek;
  /** Grows with every change: later copies of an event take the place of earlier ones. */
  readonly written: number;
  /** Where the notebook is found, for links. */
  readonly origin: string;
}

/** The week as a calendar (RFC 5545): one event a step, under the same identity whenever it is moved. */
export function calendarOf({ planned: { answer, week }, written, origin }: Published): string {
  const calendar = ical({
    name: 'Bench',
    prodId: { company: 'Earnest Still', product: 'week' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: HOUR_S,
  });
  const from = Date.parse(answer.laid.from);
  const at = (min: number) => new Date(from + min * MINUTE_MS);
  const tasks = new Map(answer.tasks.map((task) => [task.id, task]));
  const batches = new Map(answer.batches.map((batch) => [batch.id, batch]));
  for (const each of week?.placed ?? []) {
    const task = tasks.get(each.id);
    if (!task || each.presentUntil <= each.from) continue;
    const batch = batches.get(task.batch);
    const of = batch ? `, ${batch.title} ${batch.number}` : '';
    const event = calendar.createEvent({
      id: uidOf(each.id),
      start: at(each.from),
      end: at(Math.max(each.presentUntil, each.from + LEAST_MIN)),
      stamp: new Date(answer.now),
      sequence: written,
      summary: `${task.title}${of}`,
      location: task.where === 'outdoors' ? `${answer.place}, outdoors` : answer.place,
      description: wordsOf(each, task, (min) => clock(at(min))),
      url:
        task.step === ''
          ? `${origin}/bench/week`
          : `${origin}/bench/${task.batch}?step=${encodeURIComponent(task.step)}`,
    });
    if (task.wait === 'stay') event.priority(1);
  }
  return calendar.toString();
}

/** An identity that a calendar keeps: of the batch and the step, not of when it is. */
const uidOf = (id: string): string => `${id.replace(/[^\w.-]/g, '.')}@earnest-still`;

type Placed = NonNullable<PlannedWeek['week']>['placed'][number];
type Task = PlannedWeek['answer']['tasks'][number];

function wordsOf({ earliest, from, over }: Placed, { wait, waitMin }: Task, said: (min: number) => string): string {
  const band = from - earliest >= 10 ? [`As early as ${said(earliest)} if what goes before is quick.`] : [];
  const stays = wait === 'stay' ? ['Stay with it.'] : [];
  const waits = waitMin[1] > 0 ? [`Over between ${said(over[0])} and ${said(over[1])}.`] : [];
  return [...stays, ...band, ...waits].join(' ');
}

const DAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
const two = (n: number) => String(n).padStart(2, '0');
const clock = (at: Date): string => `${DAYS[at.getDay()]} ${two(at.getHours())}:${two(at.getMinutes())}`;
