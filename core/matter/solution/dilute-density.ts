import type { Substance } from '#matter/substance';
import { density } from './density.ts';
import { massFraction, type Strength } from './strength.ts';

/** °C at which what is dilute is weighed; a few degrees move it by less than it is known. */
const TEMP_C = 20;

/**
 * g/mL of a dilute solution without a density table, for its label: within 0.01 of published tables for salts, acids and sugars
 * (an estimate, grade C). Undefined where it is not dilute, or a table holds it.
 */
export function diluteDensity(strength: Strength | undefined, substance: Substance): number | undefined {
  if (!strength || substance.density !== null) return undefined;
  const w = massFraction(strength, substance, TEMP_C);
  const at = w.ok ? density(substance, w.value, TEMP_C) : undefined;
  return at?.ok ? Number(at.value.gPerMl.toFixed(3)) : undefined;
}
