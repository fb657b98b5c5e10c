import { molarMass, substanceOf } from '#core/substance';
import { amountsOf, type Contents, contentsMass } from '#core/vessel';
import type { Present } from './incompatible.ts';

/** What is in a vessel as the guard takes it: every substance at its strength in the whole. */
export function presentIn(contents: Contents): readonly Present[] {
  const mass = Math.max(1e-9, contentsMass(contents));
  return amountsOf(contents).flatMap(([substanceId, n]) => {
    const grams = n * molarMass(substanceOf(substanceId).formula);
    return grams > 1e-6 ? [{ substanceId, pct: (100 * grams) / mass }] : [];
  });
}
