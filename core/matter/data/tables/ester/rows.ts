import type { Sourced, Range } from '../sourced.ts';

/** An acid and an alcohol, and what they come to. */
export interface EsterRow extends Sourced {
  readonly acid: string;
  readonly alcohol: string;
  /** Id of the ester; empty where it is no substance of the record. */
  readonly ester: string;
  readonly name: string;
  readonly formula: string;
  /** Equilibrium constant in moles at 25 and at 100 °C, and its range. */
  readonly K: readonly [at25: number, at100: number];
  readonly kLow: number;
  readonly kHigh: number;
  /** Hydrolysis of dissolved ester in base: L/(mol s) at 25 °C, kJ/mol. */
  readonly inBase: readonly [k: number, kJ: number] | null;
}

export interface EsterAcidRow extends Sourced {
  readonly acid: string;
  readonly rate: Range;
  /** Where it holds, °C, and how it moves from there. */
  readonly atC: number;
  readonly activationKJ: number;
  /** mol of strong acid that a mol of it counts for; null where that is not known. */
  readonly itself: number | null;
}

export interface EsterAlcoholRow extends Sourced {
  readonly alcohol: string;
  readonly rate: number;
}

export interface CatalystRow extends Sourced {
  readonly catalyst: string;
  readonly counts: number;
  readonly usualPct: Range;
  /** For slow, aromatic acids; null where it does not serve. */
  readonly slowPct: Range | null;
  readonly note: string;
}
