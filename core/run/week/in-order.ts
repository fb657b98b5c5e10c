import { both, joined, lengthOf, without } from '#base/time';
import { type Book, emptyBook, endsOf, hold, type Really } from './book.ts';
import { closeBehind, promptIn, soonestTogether } from './close-behind.ts';
import { outdoorsIn } from './outdoors.ts';
import { type Hours, type Reason, type Spot, soonest } from './soonest.ts';
import type { Task, WeekInput } from './task.ts';

/** Where a step stands. */
export interface Placed {
  readonly id: string;
  readonly from: number;
  /** Until when hands are on it. */
  readonly handsOffAt: number;
  /** Until when somebody is with it. */
  readonly presentUntil: number;
  /** When it is over, soonest and latest. */
  readonly over: readonly [number, number];
  /** Why not sooner; the step in its way, and the gear that this one holds. */
  readonly because: Reason;
  readonly by: string | null;
  readonly gear: string | null;
  /** Minutes of a wait to be looked at for which nobody is awake. */
  readonly unseenMin: number;
}

export interface Laid {
  readonly placed: readonly Placed[];
  /** Steps for which the week has no room. */
  readonly left: readonly string[];
  readonly book: Book;
}

export function hoursOf({ free: there, light, home: awake = there, besideMin = 0, pieces, air }: WeekInput): Hours {
  const [free, home] = [joined(there), joined(awake)];
  const lit = both(free, joined(light));
  return {
    free,
    lit,
    outdoors: outdoorsIn(lit, air),
    home,
    longestHome: Math.max(0, ...home.map(([from, to]) => to - from)),
    besideMin,
    pieces,
  };
}

interface How {
  readonly hours: Hours;
  /** Steps that are not placed: nothing could take them. */
  readonly impossible?: ReadonlySet<string>;
  /** What steps really take, where that is drawn. */
  readonly really?: ReadonlyMap<string, Really>;
}

/** The steps placed one after the other, each as soon as it can; what has begun, and what was put somewhere, before all others. */
export function inOrder(tasks: readonly Task[], order: readonly Task[], { hours, impossible, really }: How): Laid {
  const book = emptyBook(hours.pieces);
  const placed: Placed[] = [];
  const put = (task: Task, spot: Spot) => {
    const own = really?.get(task.id);
    placed.push(standing(task, spot, { home: hours.home, really: own }));
    hold(book, task, { from: spot.from, really: own });
  };
  for (const task of tasks) {
    const { startedMin, pinnedMin } = task;
    if (startedMin !== undefined) put(task, { from: startedMin, because: 'it had begun', by: null, gear: null });
    else if (pinnedMin !== undefined) put(task, { from: pinnedMin, because: 'put there', by: null, gear: null });
  }
  const left = new Set<string>();
  const prompt = promptIn(order);
  const waiting = order.filter(({ id }) => !book.over.has(id));
  while (waiting.length > 0) {
    const next = waiting.findIndex(({ after }) => after.every((id) => book.over.has(id) || left.has(id)));
    const [task] = waiting.splice(next, 1);
    if (!task) break;
    const blocked = impossible?.has(task.id) || task.after.some((id) => left.has(id));
    const close = blocked ? [task] : closeBehind(task, prompt, book);
    const together = close.length > 1 ? soonestTogether(book, close, hours) : null;
    const spot = blocked ? null : (together?.[0] ?? soonest(book, task, hours));
    if (spot) put(task, spot);
    else left.add(task.id);
    // What must come close behind it is placed next, before anything else can come between.
    for (const [i, behind] of together ? close.entries() : []) {
      if (i === 0) continue;
      // Where what steps really take is drawn, the place that was foreseen may be gone.
      const at = really ? soonest(book, behind, hours) : together?.[i];
      if (!at) break;
      put(behind, at);
      waiting.splice(waiting.indexOf(behind), 1);
    }
  }
  return { placed, left: [...left], book };
}

function standing(
  task: Task,
  spot: Spot,
  { home, really }: { readonly home: Hours['home']; readonly really: Really | undefined },
): Placed {
  const { id, handsOnMin, waitMin, wait } = task;
  const hands = really?.handsOnMin ?? handsOnMin;
  const { from } = spot;
  const [presentUntil, over] = endsOf(task, from, really);
  const off = from + hands;
  return {
    id,
    ...spot,
    handsOffAt: off,
    presentUntil,
    over: really ? [over, over] : [off + waitMin[0], over],
    unseenMin: wait === 'near' && over > off ? lengthOf(without([[off, over]], home)) : 0,
  };
}
