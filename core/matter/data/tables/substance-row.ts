import type { Form } from '../form.ts';
import type { GrainId } from '../rows.ts';
import type { Tint } from '../tint.ts';

/** Expressly no such fact held here: every fact of a substance is given or is this. Silence does not compile. */
export const none = null;
export type None = typeof none;

/** What it does with water: a gas is led off, what is immiscible makes a layer of its own. */
export type WaterKind = 'soluble' | 'sparing' | 'insoluble' | 'miscible' | 'immiscible' | 'gas';


/** A class of the clash table; with a strength, mass %, from which on it belongs to it. */
export type ClassEntry = string | readonly [name: string, fromPct: number];

/** An ion, how many of it a formula holds, and its charge. */
export type IonEntry = readonly [ion: string, count: number, charge: number];

/** A substance in water as an acid-base system: its protonation family, how it starts, and ions that take no part. */
export interface AcidBase {
  /** Names of the pKa rows, most acid first; empty for a strong acid or base. */
  readonly steps: readonly string[];
  /** Protons it carries when dissolved, counted from the fully deprotonated end. */
  readonly protons: number;
  /** Charge of the fully deprotonated end. */
  readonly baseCharge: number;
  /** Charge of its other ions (Na+: +1), summed. */
  readonly spectators: number;
  /** Moles of the family in one mole. */
  readonly count: number;
}

/** Rows of the table of formation enthalpies: the pure substance as it comes, and what it is in water. */
export interface Formation {
  readonly pure: string | None;
  readonly dissolved: readonly (readonly [id: string, count: number])[] | None;
}

interface Named {
  readonly name: string;
  /** As written by chemists, hydrate water after a dot. */
  readonly formula: string;
  readonly form: Form;
  /** Other names on labels, in lists and in old books; matched whatever the case. */
  readonly names: readonly string[] | None;
  readonly tint: Tint;
  /** Rows of hazards, limits, drying ceilings, keeping, electrons and law, by their ids. */
  readonly hazards: readonly string[] | None;
  readonly limits: readonly string[] | None;
  readonly ceiling: string | None;
  readonly keeping: readonly string[] | None;
  readonly electrons: readonly string[] | None;
  readonly law: readonly string[] | None;
}

/** A substance that is not a hydrate of another: everything that is a fact of the species stands here. */
export interface SpeciesFacts extends Named {
  /** False for what is only made or given off, and never stands on the shelf under a name. */
  readonly onShelf?: false;
  readonly water: WaterKind;
  readonly classes: readonly ClassEntry[] | None;
  readonly ions: readonly IonEntry[] | None;
  readonly acidBase: AcidBase | None;
  readonly formation: Formation | None;
  /** Density table of its aqueous solution. */
  readonly density: string | None;
  /** Name of its rows in the solubility table. */
  readonly solubility: string | None;
  /** Solubility product that stands for it, by formula, and how many of that formula are in its own. */
  readonly sparing: readonly [formula: string, count: number] | None;
  /** How it comes as a solid: what settles, filters and holds water. */
  readonly grain: GrainId | None;
}

/** A hydrate: its water is in its formula, and what is not said here is said of its anhydrous species. */
export interface HydrateFacts extends Named {
  readonly hydrateOf: string;
  /** Row of the table of formation enthalpies of the crystal itself. */
  readonly formation: string | None;
  /** Classes of the crystal itself, beside those of its species. */
  readonly classes: readonly ClassEntry[] | None;
}

export type SubstanceFacts = SpeciesFacts | HydrateFacts;
