import { volatiles } from '#matter/data';
import { waterDensityAt } from '#matter/solution';
import type { SubstanceId } from '#matter/substance';

/** g/mL of an organic solid in solution, a middling value. */
const DISSOLVED = 1.3;

/** L of liquids poured together and of what dissolves in them, without contraction: within 3 %. */
export function litresOf(parts: readonly (readonly [id: SubstanceId | 'water', grams: number])[]): number {
  return parts.reduce((sum, [id, grams]) => sum + grams / densityOf(id) / 1000, 0);
}

function densityOf(id: SubstanceId | 'water'): number {
  if (id === 'water') return waterDensityAt(20);
  return volatiles.find((row) => row.id === id)?.gPerMl ?? DISSOLVED;
}
