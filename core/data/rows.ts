import type { Grade } from '#core/figure';

export interface AtomicWeightRow {
  readonly z: number;
  readonly symbol: string;
  readonly name: string;
  /** g/mol; absent where no standard value exists. */
  readonly weight?: number;
  readonly uncertainty?: number;
}

export interface ThermochemRow {
  readonly id: string;
  readonly name: string;
  readonly formula: string;
  readonly charge: number;
  readonly phase: string;
  /** kJ/mol at 298.15 K. */
  readonly dHf?: number;
  readonly source: string;
  readonly grade: Grade;
}

export interface HeatOfSolutionRow {
  readonly kind: string;
  readonly substance: string;
  readonly phase: string;
  readonly molWater?: number;
  /** kJ per mol of substance. */
  readonly dH: number;
  readonly source: string;
  readonly grade: Grade;
  readonly note?: string;
}

export interface SolubilityRow {
  readonly solute: string;
  /** The solid in contact; `X/Y` marks a transition point. */
  readonly phase: string;
  readonly tempC: number;
  readonly gPer100gWater: number;
  readonly grade: Grade;
}

export interface HazardRow {
  readonly id: string;
  readonly substance: string;
  readonly formula: string;
  readonly band: string;
  readonly refuse: string;
  readonly signal?: string;
  readonly statements?: string;
  readonly stelPpm?: number;
  readonly twaPpm?: number;
  readonly ceilingPpm?: number;
  readonly limitNote?: string;
  readonly containerOk?: string;
  readonly containerNotOk?: string;
  readonly classes?: string;
  readonly incompatibleClasses?: string;
  readonly firstAid?: string;
  readonly waste?: string;
  readonly grade: Grade;
}

export interface RegulatedRow {
  readonly substance: string;
  readonly jurisdiction: string;
  readonly threshold: string;
  readonly who: string;
  readonly rule: string;
  readonly source: string;
  readonly date: string;
  readonly grade: Grade;
}

export interface AcidRow {
  readonly name: string;
  readonly equilibrium: string;
  /** At 25 °C, zero ionic strength. */
  readonly pKa: number;
  /** Enthalpy of dissociation, kJ/mol. */
  readonly dH?: number;
  readonly grade: Grade;
}

/** Two classes of substance that must not meet, or only with care. */
export interface IncompatibilityRow {
  readonly a: string;
  readonly b: string;
  readonly releases: string;
  readonly severity: 'refuse' | 'danger' | 'caution';
  readonly reason: string;
  readonly condition: string;
  readonly grade: 'A' | 'B' | 'C';
}

/** A temperature (°C) or a humidity (%) at which a solid changes. */
export interface LimitRow {
  readonly formula: string;
  readonly property:
    | 'decomposition'
    | 'boil-down-limit'
    | 'melts-in-own-water'
    | 'dehydration'
    | 'deliquescence'
    | 'hydrate-pair'
    | 'sublimation'
    | 'melting-point'
    | 'solution-transition';
  readonly low?: number;
  readonly high?: number;
  readonly detail: string;
  readonly grade: Grade;
}

export interface MixedSaltRow {
  readonly added: 'NaOH' | 'HCl';
  readonly tempC: number;
  readonly molPerKgWater: number;
  readonly gSaltPer100gWater: number;
  readonly grade: Grade;
}

export interface AntisolventRow {
  readonly formula: string;
  readonly tempC: number;
  /** Mass % of ethanol in the salt-free solvent. */
  readonly ethanolPct: number;
  readonly gPer100g: number;
  readonly grade: Grade;
}

export interface IonOf {
  readonly ion: string;
  readonly z: number;
  /** How many of it in the formula. */
  readonly n: number;
}

export interface SparingRow {
  readonly formula: string;
  readonly name: string;
  readonly cation: IonOf;
  readonly anion: IonOf;
  readonly ksp: number;
  readonly grade: Grade;
  readonly note?: string;
}

export interface TransitionRow {
  readonly solute: string;
  readonly from: string;
  readonly to: string;
  readonly tempC: number;
}
