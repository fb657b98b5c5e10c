import type { Figure } from '#base/figure';
import { given } from '#base/figure';
import type { Quantity, Reading } from '#base/reading';
import type { Bench } from '#matter/gear';
import type { Reaction } from '#matter/reaction';
import type { Content } from '#matter/stock';
import { type Substance, type SubstanceId, substanceOf } from '#matter/substance';
import type { CurrentRead } from '#model/electrolysis';
import type { BodyOf } from '#run/log';
import type { Recipe, Role } from './recipe.ts';

/** What the steps of a run are computed from, looked up and checked once. */
export interface Facts {
  readonly bench: Bench;
  readonly recipe: Recipe;
  /** What each role's bottle holds; water has none. */
  readonly contents: Readonly<Record<string, Content>>;
  /** What each role's bottle is called; of water, the role. */
  readonly names: Readonly<Record<string, string>>;
  readonly bottles: Readonly<Record<string, string | null>>;
  readonly settings: Readonly<Record<string, number>>;
  /** Revision of the data tables. */
  readonly tables: number;
  /** g/mL of plain water at the bench. */
  readonly water: Figure;
  readonly target: { readonly substance: Substance; readonly pct: number | undefined };
  /** What a bottle held, as it stood when something was taken from it; undefined when that cannot be. */
  readonly contentThen: (bottleId: string, stock: NonNullable<BodyOf<'added'>['stock']>) => Content | undefined;
}

/** Something that really went in at a step. */
export type ActualAddition = Omit<BodyOf<'added'>, 'kind' | 'reason'> & { readonly eventId: string };

/** A step of putting something in that was ended with nothing entered: as planned. */
export interface Closing {
  readonly step: string;
  readonly role: string;
  /** How many additions had been entered before, in the whole run. */
  readonly before: number;
  /** How many times larger the batch had been made by then; undefined where it had not. */
  readonly enlarged: number | undefined;
}

/** What was entered at one step. */
export interface StepEntries {
  readonly additions: readonly ActualAddition[];
  /** The last reading of each quantity, of what stands in the vessel. */
  readonly readings: Readonly<Partial<Record<Quantity, Reading>>>;
  /** The last readings of the liquor that was set apart. */
  readonly liquor: Readonly<Partial<Record<Quantity, Reading>>>;
  /** How many additions of the step had been entered when each quantity was last read. */
  readonly readAfter: Readonly<Partial<Record<Quantity, number>>>;
  /** What went in at the step after its last telling reading. */
  readonly since: readonly ActualAddition[];
  /** Quantities whose last reading was taken long before the step was ended: how it went, not where it ended. */
  readonly early: readonly Quantity[];
  /** The mass that was read is of something dry. */
  readonly dryMass: boolean;
  /** It still held liquor or rinse. */
  readonly wetMass: boolean;
  readonly finished: boolean;
  readonly skipped: boolean;
  /** Currents that were read, in time, and when the step began and ended, ms; null where that was not entered. */
  readonly currents: readonly CurrentRead[];
  readonly from: number | null;
  readonly to: number | null;
}

/** How a run is gone through: with what is planned, or with only what is done. */
export interface Going {
  /** Extent that the target asks for, mol. */
  readonly wanted: Figure;
  /** Extent that what really went in is enough for, by role, in the order the roles went in. */
  readonly enoughFor: ReadonlyMap<string, Figure>;
  readonly enlarged: boolean;
  /** What steps that were ended with nothing entered were dosed for then, by step. */
  readonly closedAs: ReadonlyMap<string, { readonly role: string; readonly extent: Figure }>;
  /** g that such steps were to take when they were ended, where something before them was entered since. */
  readonly takenThen: ReadonlyMap<string, Figure>;
  /** The role that the target names an amount of: never dosed beyond it. */
  readonly cap: string | null;
  /** Planned doses unrounded: used once, to find the yield that the target is scaled by. */
  readonly exact: boolean;
  /** Only what has really happened counts: nothing planned goes in. */
  readonly onlyDone: boolean;
  /** What was entered at any step, for what is weighed at another. */
  readonly entriesAt: (step: string) => StepEntries;
}

/** From this revision on what leaves the plan is followed; a run planned before keeps what it said. */
export const FOLLOWS_THE_BENCH = 2;
/**
 * From this revision on what is left over of an acid or a lye takes part in what goes in next, and doses count it; and what is
 * read at the last steps is what was made.
 */
export const AS_IT_REALLY_IS = 3;

/** A step as it is gone through. */
export interface At {
  readonly facts: Facts;
  readonly key: string;
  readonly entries: StepEntries;
  readonly going: Going;
}

export function roleOf({ recipe }: Facts, id: string): Role {
  const role = recipe.roles.find((each) => each.id === id);
  if (!role) throw new Error(`there is no role ${id}`);
  return role;
}

export function reactionOf({ recipe }: Facts, id: string): Reaction {
  const reaction = recipe.reactions.find((each) => each.id === id);
  if (!reaction) throw new Error(`there is no reaction ${id}`);
  return reaction;
}

/** What a control is set to; its start where a plan is older than it. */
export function settingOf({ recipe, settings }: Facts, id: string): number {
  const control = recipe.controls.find((each) => each.id === id);
  if (!control) throw new Error(`there is no control ${id}`);
  return settings[id] ?? control.start;
}

export function controlFigure(facts: Facts, id: string): Figure {
  const control = facts.recipe.controls.find((each) => each.id === id);
  const { name = id, unit = '' } = control ?? {};
  return given({ symbol: 'set', name, unit }, settingOf(facts, id), 'you set it');
}

/** The wanted strength as a figure, mass %. */
export function wantedFigure({ target }: Facts): Figure {
  return given(
    { symbol: 'w', name: 'wanted strength, by mass', unit: '%' },
    target.pct ?? 0,
    'your target, through the density table',
  );
}

/** The solid that a recipe makes, and the species it is of; undefined for a solution. */
export function solidMade({ recipe }: Pick<Facts, 'recipe'>): { solid: Substance; species: Substance } | undefined {
  const { makes } = recipe;
  if (makes.kind !== 'solid') return undefined;
  return { solid: substanceOf(makes.substanceId), species: substanceOf(makes.anhydrousId) };
}

/** The species that the reactions are to make; undefined where nothing has to react. */
export function speciesMade({ recipe }: Pick<Facts, 'recipe'>): SubstanceId | undefined {
  const { makes } = recipe;
  return makes.kind === 'solid' ? makes.anhydrousId : makes.substanceId;
}
