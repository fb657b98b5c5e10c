import { ok, type Result } from '#base/problem';
import { type Broken, breaksOf } from './breaks.ts';
import { type Cost, costOf, isLess, scoreOf } from './cost.ts';
import { hoursOf, inOrder, type Laid, type Placed } from './in-order.ts';
import { tooLong, weekProblem } from './refused.ts';
import type { Hours } from './soonest.ts';
import { presentMin, type Task, type WeekInput, wholeMin } from './task.ts';

/** A step in a week: where it stands, and how soon it may come to that where the waits before it are short. */
export interface InWeek extends Placed {
  readonly earliest: number;
}

export interface Week extends Cost {
  readonly placed: readonly InWeek[];
  /** Steps for which the week has no room, and why. */
  readonly left: readonly { readonly id: string; readonly why: string }[];
  /** What steps break where they stand. */
  readonly broken: readonly Broken[];
  /** The order it was placed in, and which first steps were held back until when: given back, the week stays as it is. */
  readonly order: readonly string[];
  readonly holds: Readonly<Record<string, number>>;
}

type Rule = (task: Task, tail: ReadonlyMap<string, number>) => number;

/** Orders that are tried, by what counts first; each is placed as soon as it can. */
const RULES: readonly Rule[] = [
  (task, tail) => -(tail.get(task.id) ?? 0),
  (task, tail) => (task.byMin ?? 1e9) - 1e-6 * (tail.get(task.id) ?? 0),
  (task) => presentMin(task),
  (task) => -wholeMin(task),
  () => 0,
];

/**
 * The steps of several batches placed in the hours of one person, each as soon as it can: nobody at two places, no gear twice, order
 * kept, what must be stayed with within one stretch of being there, what wants light in the light, what must not share the air apart,
 * and what must come close behind another close behind it, where the week has such a place.
 * What has begun is not moved, what was put somewhere by hand stands there. Several orders are tried, turns of them, and batches held
 * back for a later day; the one that comes nearest to the aim is taken, what has no room and what is late before all else. With an
 * order given only that is placed, in a few milliseconds.
 */
export function placeWeek(input: WeekInput): Result<Week> {
  const wrong = weekProblem(input);
  if (wrong) return { ok: false, problem: wrong };
  const search = new Search(input);
  return ok(search.week(input.order ? search.kept(input.order, input.holds ?? {}) : search.best()));
}

interface Tried {
  readonly order: readonly Task[];
  readonly holds: Readonly<Record<string, number>>;
  readonly laid: Laid;
  readonly cost: Cost;
  readonly score: readonly number[];
}

/** So few steps are tried in every order there is. */
const ALL_ORDERS = 6;
/** Steps taken forward, and batches held back, at the most; and placings of steps in all. */
const TURNS = 400;
/** Later stretches that a step is held back to. */
const STRETCHES = 6;
const MOST_PLACINGS = 9000;

class Search {
  private readonly input: WeekInput;
  private readonly hours: Hours;
  private readonly by: ReadonlyMap<string, Task>;
  private readonly tail: ReadonlyMap<string, number>;
  /** Steps longer than any stretch, with the sentence that says so. */
  private readonly impossible: ReadonlyMap<string, string>;
  private readonly prompt: number;
  private placings = 0;

  constructor(input: WeekInput) {
    this.input = input;
    this.hours = hoursOf(input);
    this.by = new Map(input.tasks.map((task) => [task.id, task]));
    this.tail = tails(input.tasks);
    this.prompt = input.tasks.filter(({ withinMin }) => withinMin !== undefined).length;
    this.impossible = new Map(
      input.tasks.flatMap((task) => {
        const why = tooLong(task, input);
        return why ? [[task.id, why]] : [];
      }),
    );
  }

  private lay(order: readonly Task[], hours = this.hours): Laid {
    // What comes close behind another is tried together with it: about three placings in the place of one.
    this.placings += order.length + 2 * this.prompt;
    return inOrder(this.input.tasks, order, { hours, impossible: new Set(this.impossible.keys()) });
  }

  private tried(order: readonly Task[], holds: Tried['holds'] = {}): Tried {
    const laid = this.lay(order.map((task) => held(task, holds)));
    const cost = costOf(laid, this.by);
    return { order, holds, laid, cost, score: scoreOf(laid, cost, this.input.aim ?? 'soonest') };
  }

  /** An order of earlier; what is not in it comes last, by what follows it. */
  kept(ids: readonly string[], holds: Tried['holds']): Tried {
    const place = new Map(ids.map((id, i) => [id, i]));
    const of = ({ id }: Task) => place.get(id) ?? ids.length;
    const order = [...this.input.tasks].sort((a, b) => of(a) - of(b) || this.tailOf(b) - this.tailOf(a));
    return this.tried(order, holds);
  }

  private tailOf = ({ id }: Task): number => this.tail.get(id) ?? 0;

  best(): Tried {
    const { tasks } = this.input;
    let best = this.kept([], {});
    const take = (other: Tried) => {
      if (!isLess(other.score, best.score)) return false;
      best = other;
      return true;
    };
    for (const rule of RULES) take(this.tried([...tasks].sort((a, b) => rule(a, this.tail) - rule(b, this.tail))));
    if (tasks.length <= ALL_ORDERS) for (const order of everyOrder(tasks)) take(this.tried(order));
    for (const order of this.turns(() => best)) take(this.tried(order, best.holds));
    for (const holds of this.heldBack(() => best)) take(this.tried(best.order, holds));
    return best;
  }

  /** Whether so much of what may be tried is tried. */
  private spent(share = 1): boolean {
    return this.placings > share * MOST_PLACINGS;
  }

  /** The order of what was placed with one step taken forward. */
  private *turns(best: () => Tried): Generator<readonly Task[]> {
    const most = Math.min(TURNS, this.input.tasks.length ** 2);
    for (let i = 0; i < most && !this.spent(this.holdsBack ? 0.4 : 1); i += 1) {
      const { laid } = best();
      const ids = [...[...laid.placed].sort((a, b) => a.from - b.from).map(({ id }) => id), ...laid.left];
      const order = ids.flatMap((id) => this.by.get(id) ?? []);
      const at = order.length - 1 - (i % order.length);
      const [taken] = order.splice(at, 1);
      if (!taken) continue;
      order.splice(Math.max(0, at - 1 - Math.floor(i / order.length)), 0, taken);
      yield order;
    }
  }

  /** Where it counts how long things stand, or how often one goes there, what has room in a later stretch may wait for it. */
  private get holdsBack(): boolean {
    return this.input.aim !== undefined && this.input.aim !== 'soonest';
  }

  /** A step held back to the beginning of a later stretch, first steps of batches first. Nothing is over sooner by it, but much may be shorter. */
  private *heldBack(best: () => Tried): Generator<Tried['holds']> {
    if (!this.holdsBack) return;
    const may = this.input.tasks.filter(
      ({ startedMin, pinnedMin }) => startedMin === undefined && pinnedMin === undefined,
    );
    const later = may.filter(({ after }) => after.length > 0);
    for (const { id } of [...may.filter(({ after }) => after.length === 0), ...later]) {
      const from = best().laid.placed.find((each) => each.id === id)?.from ?? 0;
      for (const [opens] of this.hours.free.filter(([f]) => f > from).slice(0, STRETCHES)) {
        if (this.spent()) return;
        yield { ...best().holds, [id]: opens };
      }
    }
  }

  week({ order, holds, laid, cost }: Tried): Week {
    const { tasks } = this.input;
    // The same order with every wait as short as it may be: how soon each may come to stand.
    const brief = tasks.map((task) => ({ ...task, waitMin: [task.waitMin[0], task.waitMin[0]] as const }));
    const briefBy = new Map(brief.map((task) => [task.id, task]));
    const soon = inOrder(
      brief,
      order.flatMap(({ id }) => briefBy.get(id) ?? []).map((task) => held(task, holds)),
      {
        hours: this.hours,
      },
    );
    const earliest = new Map(soon.placed.map(({ id, from }) => [id, from]));
    return {
      placed: laid.placed.map((each) => ({
        ...each,
        earliest: Math.min(each.from, earliest.get(each.id) ?? each.from),
      })),
      left: laid.left.map((id) => ({ id, why: this.whyLeft(id) })),
      broken: breaksOf(laid.placed, {
        tasks: this.by,
        hours: this.hours,
        light: this.input.light,
        air: this.input.air,
      }),
      order: order.map(({ id }) => id),
      holds,
      ...cost,
    };
  }

  private impossibleBefore(id: string): string | undefined {
    const after = this.by.get(id)?.after ?? [];
    return (
      after.find((each) => this.impossible.has(each)) ??
      after.map((each) => this.impossibleBefore(each)).find((each) => each !== undefined)
    );
  }

  private whyLeft(id: string): string {
    const own = this.impossible.get(id);
    if (own) return own;
    const before = this.impossibleBefore(id);
    if (before) return `It comes after “${this.by.get(before)?.title}”, which has no place.`;
    return 'The hours of these days are full before it: a later day, or one batch less, would do.';
  }
}

function* everyOrder<T>(all: readonly T[]): Generator<readonly T[]> {
  if (all.length <= 1) yield all;
  for (const [i, each] of all.entries())
    for (const rest of everyOrder([...all.slice(0, i), ...all.slice(i + 1)])) if (all.length > 1) yield [each, ...rest];
}

const held = (task: Task, holds: Readonly<Record<string, number>>): Task => {
  const until = holds[task.id];
  return until === undefined ? task : { ...task, notBeforeMin: Math.max(until, task.notBeforeMin ?? 0) };
};

/** Minutes that at least follow a step, itself included. */
function tails(tasks: readonly Task[]): ReadonlyMap<string, number> {
  const followers = new Map<string, Task[]>();
  for (const task of tasks)
    for (const id of task.after) {
      const known = followers.get(id);
      if (known) known.push(task);
      else followers.set(id, [task]);
    }
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
