import type { Sourced, Range } from '../sourced.ts';

/** A liquid and water that mix in part. */
export interface MutualRow extends Sourced {
  readonly liquid: string;
  readonly tempC: number;
  /** Mass % of the liquid in the water layer, of water in the liquid’s. */
  readonly inWater: Range;
  readonly waterIn: Range;
}

/** How a solute shares itself between a liquid and water. */
export interface DistributionRow extends Sourced {
  readonly liquid: string;
  readonly solute: string;
  readonly D: Range;
}

/** A liquid parted from its water by a salt in plenty. Mass %. */
export interface SaltingRow extends Sourced {
  readonly liquid: string;
  readonly salt: string;
  /** False: it does not part, or must not; why stands in the note. */
  readonly parts: boolean;
  readonly upper: Range | null;
  readonly lower: Range | null;
  readonly saltUpper: Range | null;
  readonly saltLower: Range | null;
  readonly note: string;
}

/** How a salt in water drives a liquid out of it. */
export interface DrivenOutRow extends Sourced {
  readonly salt: string;
  /** log10(s₀/s) for a mol of it in a kg of water. */
  readonly k: number;
  /** Ions of a formula, for how it dries the other layer. */
  readonly ions: number;
}
