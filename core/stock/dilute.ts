import type { Strength } from '#core/solution';
import { molarMass, type Substance } from '#core/substance';

/** g/L of solute up to which a solution's density hardly depends on what is dissolved. */
const DILUTE_G_PER_L = 60;
const WATER_G_PER_ML = 0.998;
/** g/mL that a g/mL of solute adds: 0.35 for organic acids, 0.75 for salts. */
const LIFT = 0.6;

/**
 * g/mL of a dilute solution without a density table, for strengths by volume: within 0.01 of published tables for salts, acids
 * and sugars to 60 g/L (an estimate, grade C). Undefined for a strength by mass, or one that is not dilute.
 */
export function diluteDensity(strength: Strength | undefined, substance: Substance): number | undefined {
  const gPerL = strength && gPerLOf(strength, substance);
  if (gPerL === undefined || !(gPerL >= 0 && gPerL <= DILUTE_G_PER_L)) return undefined;
  return Number((WATER_G_PER_ML + (LIFT * gPerL) / 1000).toFixed(3));
}

function gPerLOf({ value, unit }: Strength, substance: Substance): number | undefined {
  switch (unit) {
    case 'mol/L':
      return value * molarMass(substance.formula);
    case 'g/L':
      return value;
    case 'w/v':
      return value * 10;
    default:
      return undefined;
  }
}
