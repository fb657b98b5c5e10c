import type { SubstanceId } from '#matter/substance';
import type { CellPoint, Ranged } from '#model/cell';
import type { AtCurrent } from './at-currents.ts';
import type { PlannedTopUp } from './main-salts.ts';
import type { CellWarning } from './outlook.ts';

/** Something that a run has made or used up, on one side. */
export interface CellChange {
  readonly substanceId: SubstanceId;
  readonly side: 'anode' | 'cathode';
  readonly mol: number;
  readonly grams: number;
  /** What is there at the end, mol. */
  readonly there: number;
}

export interface CellGas {
  readonly substanceId: SubstanceId;
  readonly mol: number;
  readonly litres: number;
  /** L in an hour at the strongest current. */
  readonly perHour: number;
}

export interface CellAnswer {
  readonly points: readonly CellPoint[];
  readonly ampHours: number;
  readonly changes: readonly CellChange[];
  readonly gases: readonly CellGas[];
  /** g of metal plated, by substance; and that left the anode. */
  readonly platedG: readonly (readonly [SubstanceId, number])[];
  readonly wornG: number;
  readonly evaporatedG: number;
  readonly hottestC: number;
  readonly wattHours: number;
  /** What that costs; null where no price was given. */
  readonly cost: number | null;
  readonly warnings: readonly CellWarning[];
  /** What to put into which side, and when, for the current not to fall; empty where top-ups were asked about. */
  readonly topUps: readonly PlannedTopUp[];
  /** The same charge at other currents. */
  readonly atCurrents: readonly AtCurrent[];
  /** What the book says of the anode’s efficiency. */
  readonly book: Ranged;
  /** g in, and out over all places: they are the same. */
  readonly massG: readonly [before: number, after: number];
}
