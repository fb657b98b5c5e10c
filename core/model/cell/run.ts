import type { CellSetup, CellState } from './cell.ts';
import { volumeMl } from './liquid.ts';
import { pass } from './pass.ts';
import { at } from './species.ts';
import { type Drops, type Rates, takeStock } from './stock.ts';

/** A cell at a moment, as it is drawn. */
export interface CellPoint {
  readonly seconds: number;
  readonly ampHours: number;
  readonly amps: number;
  readonly volts: number;
  readonly tempC: number;
  readonly pHa: number;
  readonly pHk: number;
  readonly drops: Drops;
  /** mol/L of copper on either side, of hydroxide on the cathode’s, of acid on the anode’s. */
  readonly copperA: number;
  readonly copperK: number;
  readonly hydroxide: number;
  readonly acid: number;
  /** mL. */
  readonly mlA: number;
  readonly mlK: number;
}

/** Longest stride, s. */
const STRIDE = 60;

export interface Running {
  /** Ends at so many s of the cell’s own time. */
  readonly untilS: number;
  /** Ends as soon as this holds. */
  readonly until?: (state: CellState) => boolean;
  readonly strideS?: number;
  /** Told at each point that is kept. */
  readonly onPoint?: (state: CellState) => void;
  /** At most so many points are kept of it. */
  readonly points?: number;
}

/** Lets a cell run; answers its course. The state goes with it. */
export function letRun(setup: CellSetup, state: CellState, running: Running): readonly CellPoint[] {
  const { untilS, until, onPoint, strideS = STRIDE, points = 200 } = running;
  const every = Math.max(1, (untilS - state.seconds) / points);
  const found: CellPoint[] = [];
  let rates = takeStock(setup, state);
  let next = state.seconds;
  // A course that cannot go on ends: no loop waits for nothing.
  for (let turn = 0; turn < 400_000 && state.seconds < untilS - 1e-9; turn++) {
    if (state.seconds >= next) {
      found.push(pointOf(state, rates));
      onPoint?.(state);
      next = state.seconds + every;
    }
    if (until?.(state)) break;
    pass({ setup, state, rates }, Math.min(strideS, untilS - state.seconds));
    rates = takeStock(setup, state, rates);
  }
  state.amps = rates.amps;
  state.volts = rates.volts;
  found.push(pointOf(state, rates));
  onPoint?.(state);
  return found;
}

export function pointOf(state: CellState, { amps, volts, drops, pHa, pHk, ca, ck }: Rates): CellPoint {
  return {
    seconds: state.seconds,
    ampHours: state.coulombs / 3600,
    amps,
    volts,
    tempC: state.tempC,
    pHa,
    pHk,
    drops,
    copperA: ca[at['Cu2+']],
    copperK: ck[at['Cu2+']],
    hydroxide: ck[at['OH-']],
    acid: ca[at['H+']],
    mlA: volumeMl(state.a),
    mlK: volumeMl(state.k),
  };
}
