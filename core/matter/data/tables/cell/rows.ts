import type { Grade } from '#base/figure';

/** A standard reduction potential. */
export interface PotentialRow {
  readonly id: string;
  readonly reaction: string;
  readonly electrons: number;
  /** V against hydrogen. */
  readonly volts: number;
  readonly note: string;
  readonly grade: Grade;
  readonly source: string;
}

/** How well an ion carries current where it is alone. */
export interface IonConductivityRow {
  readonly ion: string;
  /** S cm²/mol of charge, 25 °C. */
  readonly value: number;
  readonly grade: Grade;
  readonly source: string;
}

/** What a material bears as an electrode or divider. */
export interface ElectrodeMaterialRow {
  readonly side: 'anode' | 'cathode' | 'either' | 'divider';
  readonly material: string;
  readonly use: string;
  readonly verdict: string;
  readonly note: string;
  readonly grade: Grade;
  readonly source: string;
}

/** A figure about cells, with the range it is found in; null where none is held. */
export interface CellRow {
  readonly id: string;
  readonly says: string;
  readonly value: number | null;
  readonly low: number | null;
  readonly high: number | null;
  readonly unit: string;
  readonly note: string;
  readonly grade: Grade;
  readonly source: string;
}

/** A published series: mass % and mS/cm with its %/K; or mol of charge in a litre and S cm²/mol. */
export interface ConductivitySeries {
  readonly solute: string;
  readonly by: 'specific' | 'equivalent';
  readonly tempC: number;
  readonly rows: readonly (readonly [at: number, value: number, perK: number | null, grade: Grade])[];
  readonly source: string;
}
