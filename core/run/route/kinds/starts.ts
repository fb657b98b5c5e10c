import { substanceOf } from '#matter/substance';
import { solubilityOf, solubilityRange } from '#model/dish';
import type { Recipe } from '#run/technique';

/** °C to which its solubility goes down, and as warm as it is still called cooled. */
export function coldRange({ makes }: Recipe): readonly [number, number] {
  const species = makes.kind === 'solid' ? substanceOf(makes.anhydrousId) : undefined;
  const range = species && solubilityRange(species);
  if (!range) return species?.described?.gPer100gWater != null ? [10, 30] : [0, 40];
  const least = Math.max(0, Math.ceil(range[0]));
  return [least, Math.max(least, Math.min(40, Math.floor(range[1])))];
}

/** Beside what it holds in the cold: less would leave half of it in the liquor. */
const TIMES_COLD = 2;

/** g in 100 g of water to boil down to: what a hot liquor just holds, where its solubility is known. */
export function boilStart({ makes }: Recipe): number {
  const species = makes.kind === 'solid' ? substanceOf(makes.anhydrousId) : undefined;
  const range = species && solubilityRange(species);
  if (!species) return UNKNOWN_START;
  const at = (tempC: number) => {
    const s = solubilityOf(species, tempC);
    return s.ok ? s.value.gPer100gWater : 0;
  };
  const hot = at(range ? Math.min(60, range[1]) : 20);
  const cold = at(range ? Math.max(6, range[0]) : 20);
  const start = Math.max(hot, TIMES_COLD * cold);
  return start > 0 ? Math.min(600, Math.max(1, Math.round(start))) : UNKNOWN_START;
}
const UNKNOWN_START = 60;
