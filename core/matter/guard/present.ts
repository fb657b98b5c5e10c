import { molarMass, substanceOf } from '#matter/substance';
import { amountsOf, type Contents, contentsMass } from '#matter/vessel';
import type { Present } from './incompatible.ts';

/** What is in a vessel as the guard takes it: every substance and the water, each with its grams and its strength in the whole. */
export function presentIn(contents: Contents): readonly Present[] {
  const mass = Math.max(1e-9, contentsMass(contents));
  const matter = amountsOf(contents).map(([substanceId, n]): [string, number] => [
    substanceId,
    n * molarMass(substanceOf(substanceId).formula),
  ]);
  return [...matter, ['water', contents.waterG.value] as const].flatMap(([substanceId, g]) =>
    g > 1e-6 ? [{ substanceId, pct: Math.min(100, (100 * g) / mass), g }] : [],
  );
}
