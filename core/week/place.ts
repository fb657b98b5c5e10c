import { ok, type Result } from '#core/problem';
import { both, weekProblem } from './refused.ts';
import { presentMin, type Stretch, type Task, type WeekInput, wholeMin } from './task.ts';

/** Where a step stands. */
export interface Placed {
  readonly id: string;
  readonly from: number;
  readonly handsOffAt: number;
  /** When it is over, soonest and latest. */
  readonly over: readonly [number, number];
  /** Why not sooner. */
  readonly because:
    | 'the hours you are there'
    | 'daylight'
    | 'what goes before'
    | 'gear in use'
    | 'another step in hand'
    | 'it had begun'
    | 'at once';
}

export interface Week {
  readonly placed: readonly Placed[];
  /** Steps for which the week has no room: the last hours are over. */
  readonly left: readonly string[];
  /** Steps that are over later than they should, with the minutes. */
  readonly late: readonly { readonly id: string; readonly byMin: number }[];
  /** When the last of it is over. */
  readonly overAt: number;
}

interface Book {
  readonly person: Stretch[];
  readonly gear: Map<string, Stretch[]>;
  readonly over: Map<string, number>;
}

/** Orders that are tried, by what counts first; each is placed as soon as it can. */
const RULES: readonly ((task: Task, tail: ReadonlyMap<string, number>) => number)[] = [
  (task, tail) => -(tail.get(task.id) ?? 0),
  (task, tail) => (task.byMin ?? 1e9) - 1e-6 * (tail.get(task.id) ?? 0),
  (task) => presentMin(task),
  (task) => -wholeMin(task),
  () => 0,
];

/**
 * The steps of several batches placed in the hours of one person, each as soon as it can: nobody at two places, no gear twice, order
 * kept, what may not be left within one stretch of being there, what wants light in the light. What has begun is not moved. Several
 * orders are tried, and turns of them; the one that is over soonest, the fewest late, is taken.
 */
export function placeWeek(input: WeekInput): Result<Week> {
  const wrong = weekProblem(input);
  if (wrong) return { ok: false, problem: wrong };
  const tail = tails(input.tasks);
  let best: Week | undefined;
  for (const rule of RULES) {
    const order = [...input.tasks].sort((a, b) => rule(a, tail) - rule(b, tail));
    const week = inOrder(input, order);
    if (!best || better(week, best)) best = week;
  }
  return ok(turned(input, best!));
}

const better = (a: Week, b: Week): boolean => {
  const of = ({ left, late, overAt }: Week) =>
    [left.length, late.reduce((sum, { byMin }) => sum + byMin, 0), overAt] as const;
  const [x, y] = [of(a), of(b)];
  for (const i of [0, 1, 2] as const) if (x[i] !== y[i]) return x[i] < y[i];
  return false;
};

/** Turns that are tried: steps are taken forward in the order. */
const TURNS = 40;

/** Tries the order of what was placed with one step taken forward, as long as that helps. */
function turned(input: WeekInput, first: Week): Week {
  let best = first;
  const by = new Map(input.tasks.map((task) => [task.id, task]));
  const sorted = () => [...best.placed].sort((a, b) => a.from - b.from).flatMap(({ id }) => by.get(id) ?? []);
  const most = Math.min(TURNS, input.tasks.length ** 2);
  for (let i = 0; i < most; i += 1) {
    const order = [...sorted(), ...best.left.flatMap((id) => by.get(id) ?? [])];
    const at = order.length - 1 - (i % order.length);
    const [taken] = order.splice(at, 1);
    if (!taken) continue;
    order.splice(Math.max(0, at - 1 - Math.floor(i / order.length)), 0, taken);
    const week = inOrder(input, order);
    if (better(week, best)) best = week;
  }
  return best;
}

/** Minutes that at least follow a step, itself included. */
function tails(tasks: readonly Task[]): ReadonlyMap<string, number> {
  const followers = new Map<string, Task[]>();
  for (const task of tasks) for (const id of task.after) followers.set(id, [...(followers.get(id) ?? []), task]);
  const known = new Map<string, number>();
  const tail = (task: Task): number => {
    const had = known.get(task.id);
    if (had !== undefined) return had;
    const found = wholeMin(task) + Math.max(0, ...(followers.get(task.id) ?? []).map(tail));
    known.set(task.id, found);
    return found;
  };
  for (const task of tasks) tail(task);
  return known;
}

function inOrder({ tasks, free, light }: WeekInput, order: readonly Task[]): Week {
  const book: Book = { person: [], gear: new Map(), over: new Map() };
  const placed: Placed[] = [];
  const lit = both(free, light);
  // What has begun holds its person and its gear before anything is placed.
  for (const task of tasks)
    if (task.startedMin !== undefined)
      placed.push(hold(book, task, { from: task.startedMin, because: 'it had begun' }));
  const left: string[] = [];
  const waiting = order.filter(({ startedMin }) => startedMin === undefined);
  while (waiting.length > 0) {
    const next = waiting.findIndex(({ after }) => after.every((id) => book.over.has(id) || left.includes(id)));
    const [task] = waiting.splice(next, 1);
    if (!task) break;
    const found = task.after.some((id) => left.includes(id)) ? null : soonest(book, task, task.daylight ? lit : free);
    if (found) placed.push(hold(book, task, found));
    else left.push(task.id);
  }
  const by = new Map(tasks.map((task) => [task.id, task]));
  const late = placed.flatMap(({ id, over }) => {
    const due = by.get(id)?.byMin;
    return due !== undefined && over[1] > due ? [{ id, byMin: over[1] - due }] : [];
  });
  return { placed, left, late, overAt: Math.max(0, ...placed.map(({ over }) => over[1])) };
}

function hold(book: Book, task: Task, { from, because }: Pick<Placed, 'from' | 'because'>): Placed {
  const present = presentMin(task);
  if (present > 0) book.person.push([from, from + present]);
  for (const each of task.gear) book.gear.set(each, [...(book.gear.get(each) ?? []), [from, from + wholeMin(task)]]);
  book.over.set(task.id, from + wholeMin(task));
  const { handsOnMin, waitMin } = task;
  return {
    id: task.id,
    from,
    handsOffAt: from + handsOnMin,
    over: [from + handsOnMin + waitMin[0], from + handsOnMin + waitMin[1]],
    because,
  };
}

/** The first moment at which it can stand; null where the week has none. */
function soonest(book: Book, task: Task, there: readonly Stretch[]): Pick<Placed, 'from' | 'because'> | null {
  const ready = Math.max(0, ...task.after.map((id) => book.over.get(id) ?? 0));
  const present = presentMin(task);
  let from = ready;
  let because: Placed['because'] = ready > 0 ? 'what goes before' : 'at once';
  for (let moved = true; moved; ) {
    moved = false;
    if (present > 0) {
      const room = there.find(([f, t]) => t - Math.max(f, from) >= present - 1e-9);
      if (!room) return null;
      if (room[0] > from) {
        from = room[0];
        because = task.daylight ? 'daylight' : 'the hours you are there';
        moved = true;
      }
      const clash = meeting(book.person, [from, from + present]);
      if (clash !== null) {
        from = clash;
        because = 'another step in hand';
        moved = true;
        continue;
      }
    }
    for (const each of task.gear) {
      const clash = meeting(book.gear.get(each) ?? [], [from, from + wholeMin(task)]);
      if (clash === null) continue;
      from = clash;
      because = 'gear in use';
      moved = true;
    }
  }
  return { from, because };
}

/** Until when something is held that would meet a stretch; null where nothing is. */
function meeting(held: readonly Stretch[], [from, to]: Stretch): number | null {
  const found = held.filter(([f, t]) => f < to - 1e-9 && t > from + 1e-9);
  return found.length > 0 ? Math.max(...found.map(([, t]) => t)) : null;
}
