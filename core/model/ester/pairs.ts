import { type EsterRow, esterEquilibria } from '#matter/data';
import type { SubstanceId } from '#matter/substance';

/** An acid and an alcohol whose equilibrium is held. */
export type EsterPair = EsterRow;

/** What an acid and an alcohol come to; undefined where no equilibrium is held of them. */
export function esterOf(acid: string, alcohol: string): EsterRow | undefined {
  return esterEquilibria.find((row) => row.acid === acid && row.alcohol === alcohol);
}

/** Hours until half of an ester that is dissolved in a wash of pH 9 is split, at 25 °C; null where that is not held. */
export function halfInWashH({ inBase }: EsterPair): number | null {
  return inBase ? Math.LN2 / (inBase[0] * WASH_OH) / 3600 : null;
}

/** An ester by its own id. */
export const esterById = (ester: string): EsterPair | undefined => esterEquilibria.find((row) => row.ester === ester);

/** mol/L of hydroxide at pH 9, in a wash of bicarbonate. */
const WASH_OH = 1e-5;

/** The acid and the alcohol of a pair named in any order. */
export function asPair(a: SubstanceId, b: SubstanceId): { acid: SubstanceId; alcohol: SubstanceId } | undefined {
  if (esterOf(a, b)) return { acid: a, alcohol: b };
  return esterOf(b, a) ? { acid: b, alcohol: a } : undefined;
}

/** K in moles at a temperature, on the straight line of ln K in 1 ÷ T through 25 and 100 °C. */
export function constantAt({ K: [at25, at100] }: EsterRow, tempC: number): number {
  const share = (1 / (tempC + KELVIN) - 1 / T25) / (1 / (100 + KELVIN) - 1 / T25);
  return at25 * (at100 / at25) ** share;
}

const KELVIN = 273.15;
const T25 = 25 + KELVIN;
