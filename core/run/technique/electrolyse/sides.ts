import { itemAt } from '#base/lookup';
import type { FieldsOf } from '#base/shape';
import { type AnodeMaterial, type DividerKind, USUAL_CELL } from '#matter/gear';
import { molarMass, type SubstanceId, substanceOf } from '#matter/substance';
import { at, type Contents, entriesOf, type Place, type Vessels } from '#matter/vessel';
import {
  type Amounts,
  anodeEfficiency,
  type CellSetup,
  dissolves,
  liquidOf,
  massG,
  mediumOf,
  PLATES,
  type Ranged,
  USUAL_HYDROXIDE,
} from '#model/cell';
import { type Facts, settingOf } from '../facts.ts';
import type { fields } from './op.ts';

export type CellOp = FieldsOf<typeof fields>;

/** mol by substance, and g of water, of a vessel that a current is led through. */
export interface Side {
  readonly place: Place;
  readonly is: 'a' | 'k';
  readonly aqueous: readonly (readonly [SubstanceId, number])[];
  readonly solid: readonly (readonly [SubstanceId, number])[];
  readonly waterG: number;
}

/** A cell as a step finds it: built as it is set, with what stands in its vessels. */
export interface CellFound {
  readonly setup: CellSetup;
  readonly anolyte: Amounts;
  readonly catholyte: Amounts | null;
  /** mol of the dissolving anode that lies in its vessel; null where it survives, or lies in none. */
  readonly anodeMol: number | null;
  readonly metal: SubstanceId | null;
  /** What of each vessel takes part, as it stands there. */
  readonly sides: readonly Side[];
  /** What a cell knows nothing of: it stays where it is. */
  readonly unknown: readonly SubstanceId[];
  /** What books say of its anode, %. */
  readonly book: Ranged;
}

export const placesOf = ({ anodeIn, cathodeIn }: CellOp): readonly Place[] =>
  cathodeIn ? [anodeIn, cathodeIn] : [anodeIn];

const chosen = <T>(of: readonly T[], control: string | undefined, facts: Facts): T =>
  itemAt(of, Math.min(of.length - 1, Math.max(0, control === undefined ? 0 : Math.round(settingOf(facts, control)))));

export const anodeOf = (op: CellOp, facts: Facts): AnodeMaterial => chosen(op.anodes, op.anodeControl, facts);
export const dividerKindOf = (op: CellOp, facts: Facts): DividerKind =>
  op.cathodeIn ? chosen(op.dividers, op.dividerControl, facts) : 'none';

const METALS = { copper: 'copper', zinc: 'zinc', iron: 'iron' } as const satisfies Readonly<
  Record<string, SubstanceId>
>;

/** The cell of a step; undefined while there is no liquid in one of its vessels. */
export function cellFound(vessels: Vessels, op: CellOp, facts: Facts): CellFound | undefined {
  const anode = anodeOf(op, facts);
  const dissolving = dissolves(anode);
  const metal = dissolving ? METALS[dissolving] : null;
  const anodic = sideOf(at(vessels, op.anodeIn), metal);
  const cathodic = op.cathodeIn ? sideOf(at(vessels, op.cathodeIn), null) : null;
  if (!(massG(anodic.n) > 0) || (cathodic && !(massG(cathodic.n) > 0))) return undefined;
  const book = anodeEfficiency(anode, mediumOf(anodic.n));
  const gear = facts.bench.cell ?? USUAL_CELL;
  return {
    setup: {
      anode,
      cathode: op.cathode,
      divider: dividerKindOf(op, facts),
      gear,
      airC: facts.bench.tempC,
      stirred: false,
      // What carbon burns of itself stands in no vessel: it is told as wear.
      anodeGives: anode === 'carbon' ? 1 : Math.min(1, book.value / 100),
      cathodeGives: PLATES,
      hydroxide: USUAL_HYDROXIDE,
      wall: 1,
    },
    anolyte: anodic.n,
    catholyte: cathodic?.n ?? null,
    anodeMol: metal && anodic.metalMol > 0 ? anodic.metalMol : null,
    metal,
    sides: [
      { place: op.anodeIn, is: 'a', ...anodic.side },
      ...(op.cathodeIn && cathodic ? [{ place: op.cathodeIn, is: 'k' as const, ...cathodic.side }] : []),
    ],
    unknown: [...anodic.unknown, ...(cathodic?.unknown ?? [])],
    book,
  };
}

/** The same cell with its current held at most at so much, as its supply allows. */
export const limited = (setup: CellSetup, amps: number): CellSetup => ({
  ...setup,
  gear: { ...setup.gear, supply: { ...setup.gear.supply, amps: Math.min(amps, setup.gear.supply.amps) } },
});

/** Held whatever volts it takes: a charge that has passed has passed. */
export const held = (setup: CellSetup, amps: number): CellSetup => ({
  ...setup,
  gear: { ...setup.gear, supply: { kind: 'bench supply', volts: 60, amps } },
});

function sideOf(contents: Contents, metal: SubstanceId | null) {
  const metalMol = metal ? (contents.solid[metal]?.value ?? 0) : 0;
  // A metal that is no electrode only lies there.
  const there = (amounts: Contents['solid']) =>
    entriesOf(amounts).flatMap(([id, n]) =>
      n.value > 0 && substanceOf(id).form !== 'metal' ? [[id, n.value] as const] : [],
    );
  const [aqueous, solid] = [there(contents.aqueous), there(contents.solid)];
  const { n, unknown } = liquidOf(withBoundWater(contents, solid), [...aqueous, ...solid]);
  const known = (parts: typeof aqueous) => parts.filter(([id]) => !unknown.includes(id));
  const side = { aqueous: known(aqueous), solid: known(solid), waterG: Math.max(0, contents.waterG.value) };
  return { n, unknown, metalMol, side };
}

/** A hydrate that lies undissolved brings its crystal water when it dissolves; what is written as ions counts it as water. */
function withBoundWater({ waterG }: Contents, parts: readonly (readonly [SubstanceId, number])[]): number {
  return parts.reduce((sum, [id, mol]) => sum + mol * boundG(id), Math.max(0, waterG.value));
}

function boundG(id: SubstanceId): number {
  const substance = substanceOf(id);
  return substance.species === id
    ? 0
    : molarMass(substance.formula) - molarMass(substanceOf(substance.species).formula);
}

/** Which of the two liquids holds what is wanted: that of the step’s own vessel. */
export function sideOfProduct({ in: place, cathodeIn }: CellOp): 'a' | 'k' {
  return cathodeIn !== undefined && (place ?? 'pot') === cathodeIn ? 'k' : 'a';
}
