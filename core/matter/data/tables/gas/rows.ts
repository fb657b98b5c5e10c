import type { Sourced } from '../sourced.ts';

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
