import type { Grade } from '#base/figure';

/** What a volatile substance takes to boil and to be warmed. */
export interface VolatileRow {
  readonly id: string;
  /** kJ/mol at its normal boiling point. */
  readonly boilKJ: number;
  /** kJ/mol that drive it out of its solution, where that is not the pure one’s, with how far the pressure shifts it. */
  readonly outKJ?: number;
  /** J/(mol K) of the liquid at 25 °C. */
  readonly cp: number;
  /** g/mL of the pure liquid at 20 °C, where no table of its mixtures is held. */
  readonly gPerMl?: number;
  /** log10(p/mmHg) = A − B ÷ (C + t). */
  readonly antoine?: readonly [number, number, number];
  /** Flash point of the pure liquid, °C closed cup, and lower limit in air, vol %. */
  readonly flashC?: number;
  readonly lowerLimitPct?: number;
  readonly source: string;
  readonly grade: Grade;
}

/** A drying agent in one class of liquids. */
export interface DryingAgentRow {
  readonly agent: string;
  readonly liquid: string;
  readonly verdict: 'use' | 'weak' | 'useless' | 'avoid' | 'forbidden';
  /** g of water that a g takes, least and most in practice. */
  readonly capacity: readonly [number, number];
  /** Mass % of water that it leaves: least, usual, most; null where it is not used. */
  readonly leavesPct: readonly [number, number, number] | null;
  readonly hours: readonly [number, number] | null;
  /** What is seen of it as it takes water. */
  readonly shows: string;
  /** How it is made dry again. */
  readonly again: string;
  readonly why: string;
  readonly source: string;
  readonly grade: Grade;
}

/** g of a chloride that 100 g of water hold beside so much hydrochloric acid. */
export interface SaltInAcidRow {
  readonly salt: string;
  readonly tempC: number;
  readonly acidMolPerKgWater: number;
  readonly gPer100gWater: number;
  readonly grade: Grade;
}

/** A liquid as it is neat. */
export interface NeatLiquidRow {
  readonly id: string;
  /** g/mL at 20 °C. */
  readonly gPerMl: number;
  /** g/mL for each kelvin more. */
  readonly perK: number;
  readonly source: string;
  readonly grade: Grade;
}
