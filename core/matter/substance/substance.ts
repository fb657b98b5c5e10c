import { entryOf, must } from '#base/lookup';
import {
  type AcidBase,
  type ClassEntry,
  type Form,
  type GrainId,
  type HydrateFacts,
  type SubstanceId as RecordId,
  type SpeciesFacts,
  type SubstanceFacts,
  substances,
  type Tint,
  type WaterKind,
} from '#matter/data';
import { type Described, type DescribedId, describedOf, isDescribedId } from './described.ts';
import { hazardsOfFormula } from './formula-hazards.ts';
import { hydrateWater } from './molar-mass.ts';

/** A substance of the record. */
export type { RecordId };
/** A substance of the record, or one described by its id. */
export type SubstanceId = RecordId | DescribedId;

/** Everything that is held of a substance, joined from its own record and, for a hydrate, its anhydrous species. */
export interface Substance {
  readonly id: SubstanceId;
  readonly name: string;
  /** As written by chemists, hydrate water after a dot. */
  readonly formula: string;
  readonly form: Form;
  /** Other names on labels, in lists and in old books. */
  readonly names: readonly string[];
  /** The anhydrous species of a hydrate; itself for everything else. */
  readonly species: SubstanceId;
  /** False for what is only made or given off, and never stands on the shelf under a name. */
  readonly onShelf: boolean;
  readonly water: WaterKind;
  readonly tint: Tint;
  readonly grain: GrainId | null;
  /** Classes of the clash table, a hydrate's own and its species'. */
  readonly classes: readonly ClassEntry[];
  readonly ions: SpeciesFacts['ions'];
  readonly acidBase: AcidBase | null;
  /** Row of formation enthalpies of the pure substance as it comes: the crystal of a hydrate. */
  readonly formationPure: string | null;
  readonly formationDissolved: readonly (readonly [id: string, count: number])[] | null;
  /** Density table of its aqueous solution; none for a hydrate, whose mass % counts its water. */
  readonly density: string | null;
  readonly solubility: string | null;
  readonly sparing: SpeciesFacts['sparing'];
  readonly hazards: readonly string[];
  readonly limits: readonly string[];
  readonly ceiling: string | null;
  readonly keeping: readonly string[];
  readonly electrons: readonly string[];
  readonly law: readonly string[];
  /** What its owner says of it, where no record holds it. */
  readonly described: Described | null;
}

/** Classes that are of the anhydrous form alone: its crystal with water no longer heats in water. */
const OF_THE_FORM: ReadonlySet<string> = new Set(['anhydrous_salt']);

// A species of no such id in a hydrate's record is a programmer's slip: the record is checked when it is joined.
const facts: Readonly<Record<string, SubstanceFacts>> = substances;
const joined = new Map<string, Substance>();
for (const id of Object.keys(substances) as SubstanceId[]) joined.set(id, join(id, entryOf(facts, id)));

/** Every substance known, in the order of the record. */
export const allSubstances: readonly Substance[] = [...joined.values()];

/** The substance of an id that is known to be one. */
export function substanceOf(id: SubstanceId): Substance {
  return must(substanceById(id), `substance “${id}”`);
}

/** The substance of an id from outside; undefined when it is none. */
export function substanceById(id: string): Substance | undefined {
  return joined.get(id) ?? (isDescribedId(id) ? describedSubstance(id) : undefined);
}

export function isSubstanceId(id: string): id is SubstanceId {
  return substanceById(id) !== undefined;
}

const described = new Map<DescribedId, Substance>();
/** Described ones remembered: a page may meet many while one is typed. */
const REMEMBERED = 500;

function describedSubstance(id: DescribedId): Substance | undefined {
  const known = described.get(id);
  if (known) return known;
  const says = describedOf(id);
  if (!says.ok) return undefined;
  const { name, formula, form, gPer100gWater } = says.value;
  const substance: Substance = {
    ...NOTHING_HELD,
    id,
    species: id,
    name,
    formula,
    form,
    onShelf: true,
    water: waterOf(form, gPer100gWater),
    classes: hazardsOfFormula(formula).classes,
    described: says.value,
  };
  if (described.size >= REMEMBERED) described.clear();
  described.set(id, substance);
  return substance;
}

/** Less than this, g in 100 g of water, stays a solid. */
const INSOLUBLE_G = 0.1;

/** What is not known to stay a solid is taken to dissolve: so it is said where it matters. */
function waterOf(form: Form, gPer100gWater: number | null): WaterKind {
  if (form === 'metal' || (gPer100gWater !== null && gPer100gWater < INSOLUBLE_G)) return 'insoluble';
  if (form === 'gas') return 'gas';
  return form === 'liquid' ? 'miscible' : 'soluble';
}

/** A substance that is known by its formula alone: nothing else is held of it. Its id is its formula, which no record has. */
export function bareSubstance(formula: string, name = formula): Substance {
  return {
    ...NOTHING_HELD,
    id: formula as SubstanceId,
    species: formula as SubstanceId,
    name,
    formula,
  };
}

const NOTHING_HELD: Omit<Substance, 'id' | 'species' | 'name' | 'formula'> = {
  form: 'solid',
  names: [],
  onShelf: false,
  water: 'soluble',
  tint: 'clear',
  grain: null,
  classes: [],
  ions: null,
  acidBase: null,
  formationPure: null,
  formationDissolved: null,
  density: null,
  solubility: null,
  sparing: null,
  hazards: [],
  limits: [],
  ceiling: null,
  keeping: [],
  electrons: [],
  law: [],
  described: null,
};

/** The anhydrous species of a substance; itself when it is no hydrate. */
export function speciesOf(substance: Substance): Substance {
  return substanceOf(substance.species);
}

/** Molecules of water that a crystal gives back when it dissolves: none of one that is counted with its water when dissolved too. */
export function waterGivenBack(solid: Substance): number {
  return hydrateWater(solid.formula) - hydrateWater(speciesOf(solid).formula);
}

/** Whether it stands in water as a solid: insoluble ones, and metals. */
export function isInsoluble(substance: Substance): boolean {
  return substance.water === 'insoluble';
}

function join(id: SubstanceId, own: SubstanceFacts): Substance {
  const hydrate = 'hydrateOf' in own ? own : undefined;
  const species = hydrate ? speciesFacts(id, hydrate) : (own as SpeciesFacts);
  return {
    id,
    name: own.name,
    formula: own.formula,
    form: own.form,
    names: own.names ?? [],
    species: (hydrate?.hydrateOf ?? id) as SubstanceId,
    onShelf: species.onShelf ?? true,
    water: species.water,
    tint: own.tint,
    grain: species.grain,
    classes: [...(own.classes ?? []), ...(hydrate ? inherited(species) : [])],
    ions: species.ions,
    acidBase: species.acidBase,
    formationPure: hydrate ? hydrate.formation : (species.formation?.pure ?? null),
    formationDissolved: species.formation?.dissolved ?? null,
    density: hydrate ? null : species.density,
    solubility: species.solubility,
    sparing: species.sparing,
    hazards: own.hazards ?? [],
    limits: own.limits ?? [],
    ceiling: own.ceiling,
    keeping: own.keeping ?? [],
    electrons: own.electrons ?? [],
    law: own.law ?? species.law ?? [],
    described: null,
  };
}

function inherited(species: SpeciesFacts): readonly ClassEntry[] {
  return (species.classes ?? []).filter((each) => !OF_THE_FORM.has(typeof each === 'string' ? each : each[0]));
}

function speciesFacts(id: string, { hydrateOf }: HydrateFacts): SpeciesFacts {
  const species = facts[hydrateOf];
  if (!species || 'hydrateOf' in species) throw new Error(`${id}: ${hydrateOf} is no anhydrous species`);
  return species;
}
