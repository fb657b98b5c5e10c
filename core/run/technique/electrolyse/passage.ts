import { numberAt } from '#base/lookup';
import type { SubstanceId } from '#matter/substance';
import type { Place } from '#matter/vessel';
import {
  at,
  beginning,
  type CellPoint,
  type CellState,
  formulaOf,
  letRun,
  masses,
  massG,
  namedOf,
  type SpeciesName,
  speciesNames,
  substanceNamed,
} from '#model/cell';
import { type CellFound, type CellOp, held, limited, sideOfProduct } from './sides.ts';

/** What a charge has done, for the vessels: mol by place and substance. */
export interface Passage {
  readonly coulombs: number;
  readonly hours: number;
  /** mol of what is wanted, gained on its side. */
  readonly madeMol: number;
  readonly changes: readonly {
    readonly place: Place;
    readonly phase: 'aqueous' | 'solid';
    readonly id: SubstanceId;
    readonly mol: number;
  }[];
  /** g of water that each place gained; what evaporated is apart. */
  readonly water: readonly { readonly place: Place; readonly grams: number }[];
  readonly gases: readonly { readonly id: SubstanceId; readonly mol: number }[];
  readonly evaporatedG: number;
  readonly wornMol: number;
  readonly points: readonly CellPoint[];
  /** It stopped before what was wanted was made: the anode parted, or nothing flowed. */
  readonly short: boolean;
  readonly end: CellState;
}

/** Ends: as soon as so many mol are made, or so much charge has passed. */
export type Until = { readonly madeMol: number } | { readonly coulombs: number };

/** Strides of a passage: enough for amounts within a thousandth. */
const STRIDES = 90;
const WATER_G = numberAt(masses, at.H2O);
const GASES = ['H2', 'O2', 'CO2', 'Cl2'] as const satisfies readonly SpeciesName[];

/** Lets a held current do its work; null where what stands there has no name afterwards. */
export function passageOf(
  found: CellFound,
  op: CellOp,
  { amps, until, expectedH }: { amps: number; until: Until; expectedH: number },
): Passage | null {
  const setup = 'coulombs' in until ? held(found.setup, amps) : limited(found.setup, amps);
  const state = beginning(setup, found);
  const start = structuredClone(state);
  const species = speciesOf(op.makes);
  const productSide = sideOfProduct(op);
  const made = (s: CellState) =>
    madeOf(s[productSide], op.makes, species) - madeOf(start[productSide], op.makes, species);
  const target = 'coulombs' in until ? null : until.madeMol;
  const untilS = 'coulombs' in until ? until.coulombs / amps : 3600 * Math.max(0.05, 8 * expectedH);
  const stop = (s: CellState) => (target !== null && made(s) >= target) || (s.seconds > 0 && s.amps <= 0);
  const points = letRun(setup, state, {
    untilS,
    until: stop,
    strideS: Math.max(20, (3600 * expectedH) / STRIDES),
    points: 40,
  });
  const changes: { place: Place; phase: 'aqueous' | 'solid'; id: SubstanceId; mol: number }[] = [];
  const water: { place: Place; grams: number }[] = [];
  const wet = found.sides.reduce((sum, { is }) => sum + numberAt(state[is], at.H2O), 0);
  for (const { place, is: side, waterG, ...before } of found.sides) {
    const after = namedOf(state[side]);
    if (!after) return null;
    for (const phase of ['aqueous', 'solid'] as const) {
      const [was, is] = phase === 'aqueous' ? [before.aqueous, after.dissolved] : [before.solid, after.solid];
      const by = new Map<SubstanceId, number>();
      for (const [id, mol] of was) by.set(id, -mol);
      for (const [id, mol] of is) by.set(id, (by.get(id) ?? 0) + mol);
      for (const [id, mol] of by) if (Math.abs(mol) > 1e-12) changes.push({ place, phase, id, mol });
    }
    const share = wet > 0 ? numberAt(state[side], at.H2O) / wet : 0;
    water.push({ place, grams: after.waterMol * WATER_G - waterG + share * state.evaporatedG });
  }
  return {
    coulombs: state.coulombs,
    hours: state.seconds / 3600,
    madeMol: made(state),
    changes,
    water,
    gases: GASES.flatMap((name) => {
      const id = substanceNamed(formulaOf(name));
      const mol = numberAt(state.gas, at[name]) - numberAt(start.gas, at[name]);
      return id && mol > 1e-12 ? [{ id, mol }] : [];
    }),
    evaporatedG: state.evaporatedG,
    wornMol: state.wornMol,
    points,
    short: target !== null && made(state) < 0.999 * target,
    end: state,
  };
}

/** A solid that is wanted, as its own species. */
function speciesOf(id: SubstanceId): SpeciesName | undefined {
  return speciesNames.find((name) => substanceNamed(formulaOf(name)) === id);
}

/** mol of a substance in a liquid, by name. */
export function madeOf(n: CellState['a'], id: SubstanceId, species: SpeciesName | undefined): number {
  if (species) return numberAt(n, at[species]);
  if (!(massG(n) > 0)) return 0;
  return namedOf(n)?.dissolved.find(([each]) => each === id)?.[1] ?? 0;
}
