import type { Vessels } from '#matter/vessel';
import type { BodyOf } from '#run/log';
import { opOf } from '#run/plan';
import { placeOf, unmet } from '#run/technique';
import type { GoneThrough } from './gone-through.ts';

/** Whether something went in that its step does not ask for. */
export const isUnplanned = ({ role, stock }: Pick<BodyOf<'added'>, 'role' | 'stock'>) =>
  role === null || stock !== undefined;

/**
 * What stands in the vessels as it was poured, nothing of it taken up by anything yet, from the first step on where something
 * unplanned went in and that is not over. Null where there is none: then what stands there is what counts.
 */
export function asPoured({ facts, steps, entries, done }: GoneThrough): Vessels | null {
  const first = steps.findIndex(({ key }) => {
    const { additions, finished } = entries.at(key);
    return !finished && additions.some(isUnplanned);
  });
  const from = steps[first];
  if (!done || !from) return null;
  return steps
    .slice(first)
    .reduce<Vessels>(
      (vessels, step) => unmet(vessels, entries.at(step.key).additions, { facts, place: placeOf(opOf(step)) }),
      done.before.get(from.key) ?? {},
    );
}
