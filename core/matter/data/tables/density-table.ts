import type { Grade } from '#base/figure';

/** Density of one solute in water, as published series at fixed temperatures. */
export interface DensityTable {
  readonly id: string;
  /** The solute that the mass % counts, anhydrous. */
  readonly formula: string;
  readonly series: readonly DensitySeries[];
}

export interface DensitySeries {
  readonly tempC: number;
  readonly grade: Grade;
  readonly source: string;
  /** [mass %, g/mL], ascending; water (0 %) is left out and comes from the water table. */
  readonly points: readonly (readonly [number, number])[];
}
