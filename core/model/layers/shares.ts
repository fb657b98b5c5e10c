import { type DistributionRow, distributions } from '#matter/data';

/** How a solute shares itself between a liquid and water; undefined where nothing is held of the two. */
export function distributionOf(liquid: string, solute: string): DistributionRow | undefined {
  return distributions.find((row) => row.liquid === liquid && row.solute === solute);
}

/** Of the distribution, what an acid’s pH leaves: the ions stay in the water. */
export function unionised(pKa: number | null, pH: number | null): number {
  return pKa === null || pH === null ? 1 : 1 / (1 + 10 ** (pH - pKa));
}

/** Share of a solute in the organic layer, by distribution and mL of each. */
export function shareIn(D: number, organicMl: number, aqueousMl: number): number {
  return D * organicMl > 0 ? (D * organicMl) / (D * organicMl + aqueousMl) : 0;
}

/** Share left in the organic layer after washes of so many mL each, run off one by one. */
export function leftAfter(D: number, organicMl: number, portionsMl: readonly number[]): number {
  return portionsMl.reduce((left, ml) => left * shareIn(D, organicMl, ml), 1);
}
