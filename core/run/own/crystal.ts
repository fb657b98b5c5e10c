import { allSubstances, isInsoluble, type Substance, substanceOf } from '#matter/substance';
import { solubilityOf, solubilityRange } from '#model/dish';

/** °C at which a liquor is usually left to crystallise, where its table goes so far. */
const COLD_C = 6;

/** What comes out of water when a salt is asked for, and what is to be said of that. */
export interface Crystal {
  readonly solid: Substance;
  /** Empty where what is asked for is what comes. */
  readonly note: string;
}

/**
 * The solid that crystallises cold of what was asked for: a salt asked for without its water comes with it. One that was asked
 * for as another hydrate stays what was asked for, and it is said what comes.
 */
export function crystalOf(made: Substance): Crystal {
  const species = substanceOf(made.species);
  const range = solubilityRange(species);
  if (isInsoluble(species) || !range) return { solid: made, note: '' };
  const tempC = Math.min(range[1], Math.max(range[0], COLD_C));
  const at = solubilityOf(species, tempC);
  const phase = at.ok
    ? allSubstances.find((each) => each.species === species.id && each.formula === at.value.phase)
    : undefined;
  if (!phase || phase.id === made.id) return { solid: made, note: '' };
  if (made.id === species.id)
    return { solid: phase, note: `Out of water it comes as ${phase.name}: that is what is counted.` };
  return {
    solid: made,
    note: `Near ${tempC} °C ${phase.name} crystallises, not ${made.name}: dry it to that afterwards.`,
  };
}
