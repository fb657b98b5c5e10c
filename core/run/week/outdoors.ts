import type { Stretch } from '#base/time';
import { joined, without } from '#base/time';
import type { Task, WeekInput } from './task.ts';

/**
 * Of stretches, those in which it is as warm outdoors as a step wants it: the coldest and the warmest of the day count. A day whose
 * temperature nobody has said is left in.
 */
export function fitFor(
  { airC }: Pick<Task, 'airC'>,
  stretches: readonly Stretch[],
  air: WeekInput['air'] = [],
): readonly Stretch[] {
  if (!airC || air.length === 0) return stretches;
  const [least, most] = airC;
  const unfit = air.filter(({ airC: [low, high] }) => low < least || high > most).map(({ stretch }) => stretch);
  return without(stretches, joined(unfit));
}

/** The same, computed once for each range of temperatures. */
export function outdoorsIn(
  stretches: readonly Stretch[],
  air: WeekInput['air'],
): (task: Pick<Task, 'airC'>) => readonly Stretch[] {
  const known = new Map<string, readonly Stretch[]>();
  return (task) => {
    if (!task.airC) return stretches;
    const key = task.airC.join(' ');
    const had = known.get(key);
    if (had) return had;
    const found = fitFor(task, stretches, air);
    known.set(key, found);
    return found;
  };
}
