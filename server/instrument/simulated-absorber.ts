import { beginGas, type GasSetup, type GasState, gainedBy, letGas } from '#model/absorb';
import { deviates, type Instant } from '#model/still';
import type { Command, Instrument } from './instrument.ts';

interface Kept {
  readonly gasSetup: GasSetup;
  readonly gasState: GasState;
  readonly seed: number;
  readonly count: number;
  readonly sampleSeconds: number;
}

/** How well a kitchen balance under a swirled bottle, and a thermometer, read. */
const GRAMS_SD = 0.03;
const TEMP_SD = 0.2;
/** A bottle gains so little in a second that it is looked at this often, s of its own time. */
const ENDS_S = 12 * 3600;

/**
 * A balance under an absorber that is not there, with a thermometer in it and one in its generator: the model with its own truth and
 * noise. It shows what a still’s instruments show: the mass is what was gained, the flask’s warmth the absorber’s.
 */
export class SimulatedAbsorber implements Instrument<Instant> {
  private readonly kept: Kept;
  private readonly gas: GasState;
  private readonly noise: () => number;
  private count: number;
  private since = 0;

  private constructor(kept: Kept) {
    this.kept = kept;
    this.gas = kept.gasState;
    this.count = kept.count;
    this.noise = deviates(kept.seed + kept.count);
  }

  /** A fresh one, its tap open. */
  static begin(
    begun: { readonly setup: GasSetup; readonly mlPerMin: number },
    { seed, sampleSeconds }: { readonly seed: number; readonly sampleSeconds: number },
  ): SimulatedAbsorber {
    const gasState = beginGas(begun.setup, begun.mlPerMin);
    return new SimulatedAbsorber({ gasSetup: begun.setup, gasState, seed, count: 0, sampleSeconds });
  }

  static from(state: object): SimulatedAbsorber {
    return new SimulatedAbsorber(state as Kept);
  }

  advance(seconds: number): readonly Instant[] {
    const found: Instant[] = [];
    const { sampleSeconds, gasSetup } = this.kept;
    this.since += Math.min(seconds, ENDS_S);
    while (this.since >= sampleSeconds && !this.over) {
      this.since -= sampleSeconds;
      letGas(gasSetup, this.gas, sampleSeconds);
      found.push({
        minutes: this.gas.seconds / 60,
        headC: this.gas.generatorC + TEMP_SD * this.noise(),
        potC: this.gas.absorberC + TEMP_SD * this.noise(),
        massG: Math.max(0, gainedBy(gasSetup, this.gas) + GRAMS_SD * this.noise()),
        watts: 0,
        receiver: 0,
      });
      this.count++;
    }
    return found;
  }

  /** Its tap: more drops, fewer, or none. */
  command(command: Command): void {
    if (command.does === 'drip') this.gas.mlPerMin = command.mlPerMin;
  }

  state(): object {
    return { ...this.kept, gasState: this.gas, count: this.count };
  }

  /** Nobody watches a bottle for longer. */
  get over(): boolean {
    return this.gas.seconds >= ENDS_S;
  }
}
