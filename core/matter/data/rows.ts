import type { Grade } from '#base/figure';
import type { Jurisdiction } from './tables/countries.ts';
import type { Tint } from './tint.ts';

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
  readonly source: string;
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
  readonly id: string;
  readonly substance: string;
  readonly jurisdictions: readonly Jurisdiction[];
  readonly threshold: string;
  readonly who: string;
  /** Whoever buys, keeps or makes it, or only those who sell it. */
  readonly binds: 'owner' | 'seller';
  readonly rule: string;
  readonly when: LawCondition;
  readonly source: string;
  readonly date: string;
  readonly grade: Grade;
}

/** When a rule applies: to what is bought or kept, to what is made, to distilling, to apparatus, or with every other rule. */
export interface LawCondition {
  readonly deed: 'have' | 'make' | 'distil' | 'apparatus' | 'always';
  /** Mass %, and whether it applies at just that. */
  readonly from?: readonly [pct: number, inclusive: boolean];
  /** kg in all. */
  readonly fromKg?: number;
  /** Mass % of each substance, where they differ. */
  readonly per?: Readonly<Record<string, number>>;
  /** What is only kept away from, and falls under it. */
  readonly aways?: readonly string[];
  /** Pieces of the same thing do not fall under it: only what is kept away from does. */
  readonly onlyAways?: true;
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
  /** Worst first: how grave it is from which mass % of `a` and of `b`. */
  readonly grades: readonly (readonly [severity: ClashSeverity, aFromPct: number, bFromPct: number])[];
  readonly reason: string;
  readonly condition: string;
  /** Where it is a matter of the dry things: how grave it is in solution; null: nothing is said. */
  readonly dissolved?: ClashSeverity | null;
  /** °C below which it is not so. */
  readonly overC?: number;
  /** It is so only where this is there too, from a mass %; `otherwise` without it. */
  readonly third?: readonly [name: string, fromPct: number];
  readonly otherwise?: ClashSeverity | null;
  readonly grade: Grade;
}

/** refuse: never together; danger: only with a stated reason; caution: a reminder. */
export type ClashSeverity = 'refuse' | 'danger' | 'caution';

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
  /** Transition: two solids in one saturated solution. Cryohydric: ice and a solid. The rest is of one solid alone. */
  readonly kind: 'transition' | 'cryohydric' | 'melting' | 'incongruent' | 'decomposition' | 'dehydration';
  readonly from: string;
  readonly to: string;
  readonly tempC: number;
  /** Where sources differ; else the same. */
  readonly tempHighC: number;
  /** Mass % of the anhydrous substance in the solution there. */
  readonly pct: number | null;
  readonly detail: string;
  readonly grade: Grade;
  readonly source: string;
}

/** Grains as they come: what settles, filters and holds water. */
export type GrainId = 'crystals' | 'powder' | 'fine' | 'jelly';

/** How warm a solid may be dried, °C. */
export interface CeilingRow {
  readonly id: string;
  readonly name: string;
  /** Lying in air; 0 means do not. Null where it is not said. */
  readonly airMaxC: number | null;
  readonly ovenMaxC: number | null;
  readonly desiccator: string;
  readonly firstChangeC: number | null;
  readonly above: string;
  readonly why: string;
  readonly grade: Grade;
  readonly source: string;
}

/** How a reagent keeps, closed at 20 °C. */
export interface KeepingRow {
  readonly id: string;
  readonly reagent: string;
  readonly strength: string;
  readonly state: string;
  readonly container: string;
  readonly notIn: string;
  /** Least, usual and most months to a loss of about 5 %; null where nothing is lost. */
  readonly months: readonly [number | null, number | null, number | null];
  readonly onTheShelf: string;
  readonly turnsInto: string;
  readonly seen: string;
  readonly light: string;
  readonly cold: string;
  readonly vent: string;
  readonly check: string;
  readonly grade: Grade;
  readonly source: string;
}

/** Electrons for one formula unit. */
export interface ElectronRow {
  readonly id: string;
  readonly formula: string;
  readonly use: string;
  readonly what: 'made' | 'consumed' | 'equivalent';
  readonly reaction: string;
  readonly electrons: number;
  readonly note: string;
  readonly grade: Grade;
  readonly source: string;
}

/** Why a substance counts to a class of what must not meet. */
export interface ClassMemberRow {
  readonly class: string;
  readonly action: 'add' | 'remove' | 'new class';
  readonly member: string;
  readonly of: readonly string[];
  readonly fromPct: number;
  readonly reason: string;
  readonly grade: Grade;
  readonly source: string;
}

/** What is only kept away from: no bottle that anything is taken from. */
export interface KeepAwayRow {
  readonly id: string;
  readonly name: string;
  readonly also: readonly string[];
  /** Classes of what must not meet; empty where only its own danger counts. */
  readonly classes: readonly string[];
  /** Why it is not kept at home, without its stop; empty for a thing of every house. */
  readonly why: string;
}

/** A name that is known and not planned here. */
export interface RefusedNameRow {
  readonly name: string;
  readonly also: readonly string[];
  readonly category: string;
  /** One sentence without its stop. */
  readonly why: string;
  /** May stand on the shelf as something to keep away from. */
  readonly keepsAway: boolean;
  /** Names that are never offered in its place. */
  readonly never: readonly string[];
  readonly grade: Grade;
}

/** Limits of a gas in air, ppm; null where none is set. */
export interface AirLimitRow {
  readonly formula: string;
  readonly day: number | null;
  readonly short: number | null;
  readonly kills: number | null;
  /** Lower flammable limit, % by volume. */
  readonly burnsPct: number | null;
}

/** A sign that something is used up. `low` to `high` is where it turns, in `unit`; null where that does not apply or is not held. */
export interface IndicatorRow {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
  readonly use: string;
  readonly low: number | null;
  readonly high: number | null;
  readonly unit: string;
  /** pK, or V against hydrogen. */
  readonly middle: number | null;
  readonly before: string;
  readonly after: string;
  /** The same two colours as of the palette. */
  readonly tints: readonly [before: Tint, after: Tint];
  readonly dose: string;
  readonly madeFrom: string;
  readonly misleads: string;
  readonly who: string;
  /** Where one gets it: “yes” in a kitchen, “mail”, a kit. */
  readonly home: string;
  readonly grade: Grade;
}
