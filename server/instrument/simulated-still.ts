import { unwrap } from '#base/problem';
import {
  deviates,
  type Instant,
  type Live,
  letRun,
  type Setup,
  type StillAsked,
  setUp,
  setupFor,
  shown,
  switchReceiver,
} from '#model/still';
import type { Command, Instrument } from './instrument.ts';

/** How the still really is: what the label and the plan do not know. */
export interface Truth {
  readonly pct: number;
  readonly plates: number;
  readonly heatShare: number;
}

interface Kept {
  readonly asked: StillAsked;
  readonly truth: Truth;
  readonly seed: number;
  readonly live: Live;
  readonly count: number;
  readonly sampleSeconds: number;
}

const HOUR_S = 3600;

/** A still that is not there: the model with its own truth, noise and lag. */
export class SimulatedStill implements Instrument<Instant> {
  private readonly setup: Setup;
  private readonly live: Live;
  private readonly noise: () => number;
  private readonly kept: Kept;
  private count: number;
  private since = 0;

  private constructor(kept: Kept) {
    this.kept = kept;
    const { asked, truth } = kept;
    this.setup = unwrap(
      setupFor({
        ...asked,
        pct: truth.pct,
        apparatus: { ...asked.apparatus, plates: truth.plates, heatShare: truth.heatShare },
      }),
    );
    this.live = kept.live;
    this.count = kept.count;
    this.noise = deviates(kept.seed + kept.count);
  }

  /** A fresh one: heat on, the first receiver under the spout. */
  static begin(
    asked: StillAsked,
    truth: Truth,
    { seed, sampleSeconds }: { seed: number; sampleSeconds: number },
  ): SimulatedStill {
    const setup = unwrap(setupFor({ ...asked, pct: truth.pct }));
    const live = setUp(setup);
    live.heaterW = asked.apparatus.heaterW;
    return new SimulatedStill({ asked, truth, seed, live, count: 0, sampleSeconds });
  }

  /** One taken up again. A number that stood for “boils” came back from JSON as null. */
  static from(state: object): SimulatedStill {
    const kept = state as Kept;
    const standing = { ...kept.live.standing };
    standing.warmingC ??= Number.NaN;
    standing.hint ??= Number.NaN;
    const caught = kept.live.caught.map((each) => ({
      ...each,
      fromC: each.fromC ?? Number.NaN,
      toC: each.toC ?? Number.NaN,
    }));
    return new SimulatedStill({ ...kept, live: { ...kept.live, standing, caught } });
  }

  advance(seconds: number): readonly Instant[] {
    const found: Instant[] = [];
    const { sampleSeconds } = this.kept;
    this.since += Math.min(seconds, 24 * HOUR_S);
    while (this.since >= sampleSeconds) {
      this.since -= sampleSeconds;
      letRun(this.setup, this.live, sampleSeconds / 60);
      found.push(shown(this.setup, this.live, this.noise));
      this.count++;
    }
    return found;
  }

  command(command: Command): void {
    if (command.does === 'heat') this.live.heaterW = command.watts;
    else if (command.does === 'switch') switchReceiver(this.live);
  }

  state(): object {
    return { ...this.kept, live: this.live, count: this.count };
  }

  /** Cold, with nothing left to come: it goes on until the heat is off. */
  get over(): boolean {
    return this.live.heaterW === 0 && this.live.potC < this.setup.airC + 5;
  }
}
