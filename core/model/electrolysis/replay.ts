import { must } from '#base/lookup';
import {
  type Amounts,
  addTo,
  beginning,
  type CellSetup,
  type CellState,
  type Drops,
  letRun,
  at as place,
  takeStock,
} from '#model/cell';

/** Something read at a running cell, ms. What was not read is left out. */
export interface CellReading {
  readonly at: number;
  readonly amps?: number;
  readonly ampsSd?: number;
  readonly volts?: number;
  readonly tempC?: number;
  readonly wallV?: number;
  readonly pHa?: number;
  readonly pHk?: number;
}

/** Something put in while it ran. */
export interface CellAddition {
  readonly at: number;
  readonly side: 'anode' | 'cathode';
  readonly amounts: Amounts;
}

/** A cell before its current was on. */
export interface CellBegun {
  readonly setup: CellSetup;
  readonly anolyte: Amounts;
  readonly catholyte: Amounts | null;
  readonly anodeMol: number | null;
}

/** How a cell stood at a reading, as the model has it when that current flows. */
export interface Stood {
  readonly at: number;
  readonly drops: Drops;
  /** mol of charge in a litre of salt on the cathode’s side, mol/L of copper there. */
  readonly potSalt: number;
  readonly copper: number;
}

/** V that a held current may take: a current that was read did flow. */
const HOLDS_V = 60;

/** The cell with its current held. */
export const heldAt = (setup: CellSetup, amps: number): CellSetup => ({
  ...setup,
  gear: { ...setup.gear, supply: { kind: 'bench supply', volts: HOLDS_V, amps: Math.max(1e-5, amps) } },
});

/** Runs the cell along the currents that were read, to an instant; and how it stood at each reading. */
export function replay(
  begun: CellBegun,
  { readings, additions }: { readonly readings: readonly CellReading[]; readonly additions: readonly CellAddition[] },
  { from, to, strideS = 120 }: { readonly from: number; readonly to: number; readonly strideS?: number },
): { readonly state: CellState; readonly stood: readonly Stood[] } {
  const state = beginning(begun.setup, begun);
  const reads = readings.filter(({ amps, at }) => amps !== undefined && at <= to).sort((a, b) => a.at - b.at);
  const stops = [...new Set([...reads.map(({ at }) => at), ...additions.map(({ at }) => at), to])]
    .map((each) => Math.min(to, Math.max(from, each)))
    .sort((a, b) => a - b);
  const waiting = [...additions].sort((a, b) => a.at - b.at);
  const stood: Stood[] = [];
  let before = from;
  for (const stop of [from, ...stops]) {
    const amps = meanBetween(reads, before, stop);
    const untilS = (stop - from) / 1000;
    if (untilS > state.seconds && amps > 0) runHeld(begun.setup, state, { amps, untilS, strideS });
    // Without a current the time passes all the same.
    state.seconds = Math.max(state.seconds, untilS);
    before = stop;
    while (waiting[0] && waiting[0].at <= stop) {
      const { side, amounts } = must(waiting.shift(), 'waiting');
      addTo({ setup: begun.setup, state }, side, amounts);
    }
    const read = reads.find(({ at }) => Math.max(from, at) === stop);
    if (read) stood.push(stoodAt(begun.setup, state, read));
  }
  return { state, stood };
}

function runHeld(
  setup: CellSetup,
  state: CellState,
  { amps, untilS, strideS }: { amps: number; untilS: number; strideS: number },
): void {
  const held = heldAt(setup, amps);
  state.setVolts = HOLDS_V;
  state.setAmps = amps;
  letRun(held, state, { untilS, strideS, points: 2 });
}

/** A by straight lines between readings, the mean over a stretch; the nearest one where it lies outside them. */
function meanBetween(reads: readonly CellReading[], from: number, to: number): number {
  return (ampsAt(reads, from) + ampsAt(reads, to)) / 2;
}

function ampsAt(reads: readonly CellReading[], at: number): number {
  const next = reads.findIndex((each) => each.at >= at);
  const b = reads[next];
  const a = reads[next - 1] ?? (next < 0 ? reads.at(-1) : undefined);
  if (!b) return a?.amps ?? 0;
  if (!a || b.at === a.at) return b.amps ?? 0;
  return (a.amps ?? 0) + (((b.amps ?? 0) - (a.amps ?? 0)) * (at - a.at)) / (b.at - a.at);
}

function stoodAt(setup: CellSetup, state: CellState, { at, amps = 0, tempC }: CellReading): Stood {
  if (tempC !== undefined) state.tempC = tempC;
  const held = heldAt(setup, amps);
  const was = { volts: state.setVolts, amps: state.setAmps };
  state.setVolts = HOLDS_V;
  state.setAmps = amps;
  const { drops, ck } = takeStock(held, state);
  state.setVolts = was.volts;
  state.setAmps = was.amps;
  return {
    at,
    drops: { ...drops },
    potSalt: 2 * ck[place['SO4 2-']] + ck[place['Cl-']] + ck[place['HCO3-']],
    copper: ck[place['Cu2+']],
  };
}
