import type { AnodeMaterial, CathodeMaterial, CellGear, DividerKind } from '#matter/gear';
import { type Amounts, nothing } from './liquid.ts';
import { settle } from './settle.ts';
import { at, isA, places, speciesNames } from './species.ts';

// A cell as it runs: two liquids and what stands between them, the electrodes, the supply, the warmth. Plain data, so that it is
// kept, sent and taken up again. Rates hold for a stride of at most a minute or so; amounts, charge and heat are kept exactly.

/** How a cell is built, and how it really behaves. */
export interface CellSetup {
  readonly anode: AnodeMaterial;
  readonly cathode: CathodeMaterial;
  readonly divider: DividerKind;
  readonly gear: CellGear;
  readonly airC: number;
  readonly stirred: boolean;
  /** Share of the anode’s current that goes where it should, and the best share that plates, 0 to 1. */
  readonly anodeGives: number;
  readonly cathodeGives: number;
  /** How much of the divider’s mobility hydroxide and acid keep: part is neutralised on its way. */
  readonly hydroxide: number;
  /** The divider’s resistance, times the usual. */
  readonly wall: number;
}

/** Hydroxide and acid in a divider, and metals that alkali throws down: a third as quick as in free liquid, fitted to cells as published. Grade C. */
export const USUAL_HYDROXIDE = 0.3;

export interface CellState {
  /** The anode’s side; all there is where nothing divides. */
  readonly a: Amounts;
  /** The cathode’s side; empty where nothing divides. */
  readonly k: Amounts;
  /** mol of gas that has left, by species. */
  readonly gas: Amounts;
  /** mol of the anode’s own metal under the liquid; null where it survives or was not weighed. */
  anodeMol: number | null;
  /** mol of metal that left the anode. */
  wornMol: number;
  seconds: number;
  coulombs: number;
  tempC: number;
  evaporatedG: number;
  /** mol of hydroxide in the pores of the divider. */
  wallMol: number;
  /** Share of the divider’s life that is used up. */
  dividerUsed: number;
  amps: number;
  volts: number;
  /** Set at the supply. */
  setVolts: number;
  setAmps: number;
  /** Ampere-hours taken from a battery. */
  usedAh: number;
  /** J: from the supply, into what was made, into the air, into warmth. */
  energy: { supplied: number; chemical: number; lost: number; stored: number };
}

/** A cell before its current is on. */
export function beginning(
  setup: CellSetup,
  { anolyte, catholyte, anodeMol }: { anolyte: Amounts; catholyte: Amounts | null; anodeMol: number | null },
): CellState {
  const state: CellState = {
    a: [...anolyte],
    k: catholyte ? [...catholyte] : nothing(),
    gas: nothing(),
    anodeMol,
    wornMol: 0,
    seconds: 0,
    coulombs: 0,
    tempC: setup.airC,
    evaporatedG: 0,
    wallMol: 0,
    dividerUsed: 0,
    amps: 0,
    volts: 0,
    setVolts: setup.gear.supply.volts * (setup.gear.supply.inSeries ?? 1),
    setAmps: setup.gear.supply.amps,
    usedAh: 0,
    energy: { supplied: 0, chemical: 0, lost: 0, stored: 0 },
  };
  settle(state.a);
  settle(state.k);
  gasLeaves(state);
  return state;
}

export const isDivided = ({ divider }: CellSetup): boolean => divider !== 'none';

const gasPlaces = speciesNames.filter((name) => isA(name, 'gas')).map((name) => at[name]);

/** Gas leaves both liquids. */
export function gasLeaves(state: CellState): void {
  for (const i of gasPlaces) {
    state.gas[i] += state.a[i] + state.k[i];
    state.a[i] = 0;
    state.k[i] = 0;
  }
}

/** Puts something into a side while it runs. */
export function addTo(
  { setup, state }: { readonly setup: CellSetup; readonly state: CellState },
  side: 'anode' | 'cathode',
  what: Amounts,
): void {
  const n = side === 'cathode' && isDivided(setup) ? state.k : state.a;
  for (const i of places) n[i] += what[i];
  settle(n);
  gasLeaves(state);
}
