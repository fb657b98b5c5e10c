import type { Grade } from '#core/figure';

/** Least, usual and most. */
type Range = readonly [low: number, usual: number, high: number];

interface Sourced {
  readonly source: string;
  readonly grade: Grade;
}

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

/** Vapour over a solid: log10(p/Pa) = A − B ÷ T. */
export interface SublimationRow extends Sourced {
  readonly substance: string;
  readonly A: number;
  readonly B: number;
  readonly tempC: readonly [number, number];
  readonly meltsC: number | null;
  /** kJ per mol of vapour. */
  readonly heatKJ: number | null;
  /** From an open dish in still air at 25 °C. */
  readonly openLossMgPerCm2H: number | null;
  /** True: it falls into two gases, and comes together again. */
  readonly dissociates: boolean;
  readonly note: string;
}

/** g of a gas that 100 g of water hold at 1013 hPa in all. */
export interface GasSolubilityRow extends Sourced {
  readonly gas: string;
  readonly tempC: number;
  readonly gPer100g: number;
}

/** Heat set free by a mol of gas, kJ: in water up to a mass %, or in what takes it up. */
export interface AbsorptionHeatRow extends Sourced {
  readonly gas: string;
  readonly into: string;
  readonly toPct: number | null;
  readonly kJ: number;
}

/** How a salt in water drives a liquid out of it. */
export interface DrivenOutRow extends Sourced {
  readonly salt: string;
  /** log10(s₀/s) for a mol of it in a kg of water. */
  readonly k: number;
  /** Ions of a formula, for how it dries the other layer. */
  readonly ions: number;
}

/** A liquid as it is neat. */
export interface NeatLiquidRow extends Sourced {
  readonly id: string;
  /** g/mL at 20 °C. */
  readonly gPerMl: number;
  /** g/mL for each kelvin more. */
  readonly perK: number;
}
