import type { Stretch } from '#base/time';
import { lengthOf, meets, without } from '#base/time';
import { apart, besideOneAnother, holding } from './book.ts';
import { gapsOf } from './gaps.ts';
import type { Placed } from './in-order.ts';
import { fitFor } from './outdoors.ts';
import type { Hours } from './soonest.ts';
import type { Task, WeekInput } from './task.ts';

/** What a step breaks where it stands: one put there by hand anything, any other only how soon it should have come. */
export interface Broken {
  readonly id: string;
  readonly what: 'nobody there' | 'dark' | 'weather' | 'order' | 'two at once' | 'gear' | 'air' | 'too long after';
  /** The step that it comes too close to, and the gear of it. */
  readonly by: string | null;
  readonly gear: string | null;
  /** Minutes of it that are amiss. */
  readonly min: number;
}

/** Less than this is not said, minutes. */
const LEAST_MIN = 0.5;

const short = (all: readonly Stretch[]): number => Math.round(lengthOf(all));

/** What steps break where they stand. What was not put somewhere by hand may at most come too long after what goes before it. */
export function breaksOf(
  placed: readonly Placed[],
  {
    tasks,
    hours,
    light,
    air,
  }: { readonly tasks: ReadonlyMap<string, Task>; readonly hours: Hours } & Pick<WeekInput, 'light' | 'air'>,
): readonly Broken[] {
  const at = new Map(placed.map((each) => [each.id, each]));
  const broken: Broken[] = gapsOf(placed, tasks)
    .filter(({ min }) => min > LEAST_MIN)
    .map(({ id, by, min }) => ({ id, what: 'too long after', by, gear: null, min: Math.round(min) }));
  for (const one of placed) {
    const task = tasks.get(one.id);
    if (!task || task.pinnedMin === undefined) continue;
    const found = (what: Broken['what'], min: number, of: Partial<Pick<Broken, 'by' | 'gear'>> = {}) => {
      if (min > LEAST_MIN) broken.push({ id: one.id, what, by: null, gear: null, ...of, min: Math.round(min) });
    };
    const present: Stretch = [one.from, one.presentUntil];
    const whole: Stretch = [one.from, one.over[1]];
    found('nobody there', short(without([present], hours.free)));
    if (task.daylight) {
      found('dark', short(without([present], light)));
      found('weather', short(without([present], fitFor(task, [present], air))));
    }
    for (const id of task.after) {
      const before = at.get(id);
      if (before) found('order', before.over[1] - one.from, { by: id });
    }
    for (const other of placed) {
      const its = tasks.get(other.id);
      if (other.id === one.id || !its) continue;
      const beside = besideOneAnother(holding(task, one.from), holding(its, other.from), hours.besideMin);
      if (!beside && meets(present, [other.from, other.presentUntil]))
        found('two at once', overlap(present, other), { by: other.id });
      const theirs: Stretch = [other.from, other.over[1]];
      if (!meets(whole, theirs)) continue;
      const gear = task.gear.find((each) => its.gear.includes(each) && (hours.pieces?.[each] ?? 1) === 1);
      if (gear) found('gear', shared(whole, theirs), { by: other.id, gear });
      if (its.batch !== task.batch && apart(task, its)) found('air', shared(whole, theirs), { by: other.id });
    }
  }
  return broken;
}

const overlap = (a: Stretch, { from, presentUntil }: Placed) => shared(a, [from, presentUntil]);
const shared = ([f, t]: Stretch, [from, to]: Stretch) => Math.min(t, to) - Math.max(f, from);
