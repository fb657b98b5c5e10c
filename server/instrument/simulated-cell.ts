import { type Amounts, addTo, amountsIn, beginning, type CellSetup, type CellState, letRun } from '#model/cell';
import type { CellInstant } from '#model/electrolysis';
import { deviates } from '#model/still';
import type { Command, Instrument } from './instrument.ts';

interface Kept {
  readonly setup: CellSetup;
  readonly state: CellState;
  readonly seed: number;
  readonly count: number;
  readonly sampleSeconds: number;
}

/** How well a small bench supply and a thermometer read. */
const VOLTS_SD = 0.01;
const AMPS_SD = 0.002;
const TEMP_SD = 0.1;
/** Longest stride of the model, s. */
const STRIDE = 60;
/** A clip that was not pressed: this much more or less of a divider than the book’s. */
const DAY_S = 24 * 3600;

/** A bench supply with ammeter and thermometer at a cell that is not there: the model with its own truth and noise. */
export class SimulatedCell implements Instrument<CellInstant> {
  private readonly setup: CellSetup;
  private readonly state_: CellState;
  private readonly kept: Kept;
  private readonly noise: () => number;
  private count: number;
  private since = 0;

  private constructor(kept: Kept) {
    this.kept = kept;
    this.setup = kept.setup;
    this.state_ = kept.state;
    this.count = kept.count;
    this.noise = deviates(kept.seed + kept.count);
  }

  /** A fresh one, its current on. */
  static begin(
    begun: {
      readonly setup: CellSetup;
      readonly anolyte: Amounts;
      readonly catholyte: Amounts | null;
      readonly anodeMol: number | null;
    },
    { seed, sampleSeconds }: { seed: number; sampleSeconds: number },
  ): SimulatedCell {
    const state = beginning(begun.setup, begun);
    return new SimulatedCell({ setup: begun.setup, state, seed, count: 0, sampleSeconds });
  }

  static from(state: object): SimulatedCell {
    return new SimulatedCell(state as Kept);
  }

  advance(seconds: number): readonly CellInstant[] {
    const found: CellInstant[] = [];
    const { sampleSeconds } = this.kept;
    this.since += Math.min(seconds, 20 * DAY_S);
    while (this.since >= sampleSeconds) {
      this.since -= sampleSeconds;
      const { state_: state, setup } = this;
      letRun(setup, state, { untilS: state.seconds + sampleSeconds, strideS: STRIDE, points: 1 });
      found.push({
        minutes: state.seconds / 60,
        volts: Math.max(0, state.volts + VOLTS_SD * this.noise()),
        amps: Math.max(0, state.amps + (state.amps > 0 ? AMPS_SD * this.noise() : 0)),
        tempC: state.tempC + TEMP_SD * this.noise(),
      });
      this.count++;
    }
    return found;
  }

  command(command: Command): void {
    const { state_: state, setup } = this;
    if (command.does === 'supply') {
      if (command.volts !== undefined) state.setVolts = command.volts;
      if (command.amps !== undefined) state.setAmps = command.amps;
    } else if (command.does === 'top-up') addTo({ setup, state }, command.side, amountsIn(command.amounts));
  }

  state(): object {
    return { ...this.kept, state: this.state_, count: this.count };
  }

  /** Switched off at the supply. */
  get over(): boolean {
    return this.state_.setVolts === 0 || this.state_.setAmps === 0;
  }
}
