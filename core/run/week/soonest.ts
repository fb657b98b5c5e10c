import type { Stretch } from '#base/time';
import { type Book, clashingAir, clashingPerson } from './book.ts';
import { presentMin, type Task, type WeekInput, wholeMin } from './task.ts';

/** Why a step stands no sooner. */
export const reasons = [
  'at once',
  'what goes before',
  'what follows',
  'the hours you are there',
  'daylight',
  'the weather',
  'somebody awake',
  'another step in hand',
  'gear in use',
  'the air',
  'held back',
  'put there',
  'it had begun',
] as const;
export type Reason = (typeof reasons)[number];

export interface Spot {
  readonly from: number;
  readonly because: Reason;
  /** The step that is in its way, where one is; and the gear that it holds. */
  readonly by: string | null;
  readonly gear: string | null;
}

/** The hours as steps see them. */
export interface Hours {
  readonly free: readonly Stretch[];
  /** Of them, those by daylight. */
  readonly lit: readonly Stretch[];
  /** Of those, the ones on days that are as warm as a step wants it. */
  readonly outdoors: (task: Pick<Task, 'airC'>) => readonly Stretch[];
  readonly home: readonly Stretch[];
  readonly longestHome: number;
  /** Minutes of a step that may be done beside one that is only stayed with. */
  readonly besideMin: number;
  /** How many there are of a piece of gear. */
  readonly pieces: WeekInput['pieces'];
}

/** The first moment at which a step can stand; null where the week has none. */
export function soonest(book: Book, task: Task, hours: Hours): Spot | null {
  let spot = ready(book, task);
  // What is tried next is later each time: it ends with a place, or with the hours.
  for (;;) {
    const next = pushed({ book, task, hours }, spot);
    if (next === null) return null;
    if (next === spot) return spot;
    spot = next;
  }
}

function ready(book: Book, { after, notBeforeMin = 0 }: Task): Spot {
  let spot: Spot = { from: 0, because: 'at once', by: null, gear: null };
  for (const id of after) {
    const over = book.over.get(id) ?? 0;
    if (over > spot.from) spot = { from: over, because: 'what goes before', by: id, gear: null };
  }
  return notBeforeMin > spot.from ? { from: notBeforeMin, because: 'held back', by: null, gear: null } : spot;
}

interface Trying {
  readonly book: Book;
  readonly task: Task;
  readonly hours: Hours;
}

/** The same spot where a step can stand there; a later one where something is in its way; null where nothing comes later. */
function pushed({ book, task, hours }: Trying, spot: Spot): Spot | null {
  const { from } = spot;
  const present = presentMin(task);
  const whole: Stretch = [from, from + wholeMin(task)];
  if (present > 0) {
    const roomIn = (there: readonly Stretch[]) =>
      there.find(([f, t]) => t - Math.max(f, from) >= present - 1e-9)?.[0] ?? Number.POSITIVE_INFINITY;
    const opens = roomIn(task.daylight ? hours.outdoors(task) : hours.free);
    if (opens === Number.POSITIVE_INFINITY) return null;
    if (opens > from) {
      const outdoors = roomIn(hours.lit) < opens ? 'the weather' : 'daylight';
      return { from: opens, because: task.daylight ? outdoors : 'the hours you are there', by: null, gear: null };
    }
    const clash = clashingPerson(book, task, { from, besideMin: hours.besideMin });
    if (clash) return { from: clash.stretch[1], because: 'another step in hand', by: clash.id, gear: null };
  }
  const awake = wakes(task, from, hours);
  if (awake === null || awake > from)
    return awake === null ? null : { from: awake, because: 'somebody awake', by: null, gear: null };
  for (const gear of task.gear) {
    const clash = book.gear.inUse(gear, whole);
    if (clash) return { from: clash.stretch[1], because: 'gear in use', by: clash.id, gear };
  }
  const air = clashingAir(book, task, whole);
  return air ? { from: air.stretch[1], because: 'the air', by: air.id, gear: null } : spot;
}

/**
 * From when somebody is awake for the whole of a wait that is looked at; for as long as it takes at least, where no day is as long as
 * it may take; at once where none is as long as that: nights fall into it anyway.
 */
function wakes({ wait, handsOnMin, waitMin }: Task, from: number, { home, longestHome }: Hours): number | null {
  const most = waitMin[1] <= longestHome ? waitMin[1] : waitMin[0];
  if (wait !== 'near' || most <= 0 || most > longestHome) return from;
  const at = from + handsOnMin;
  const day = home.find(([f, t]) => t - Math.max(f, at) >= most - 1e-9);
  return day ? Math.max(from, day[0] - handsOnMin) : null;
}
