import { itemAt } from '#base/lookup';
import { flaskLossW } from './apparatus.ts';
import { gramsOf, mlOf, pctOf } from './charge.ts';
import type { Caught } from './run.ts';
import { beginning, kJToBoil, readsOf, type Setup, type Standing, takeOver } from './still.ts';

/** A still that is worked by hand: heat and receivers change while it runs. Plain data, so that it is kept and taken up again. */
export interface Live {
  readonly standing: Standing;
  /** Min since it was set up. */
  minutes: number;
  heaterW: number;
  /** The receiver under the spout, from 0. */
  receiver: number;
  /** mol caught by each receiver, °C of the head at first and last. */
  readonly caught: { n1: number; n2: number; gas1: number; fromC: number; toC: number; minutes: number }[];
  headC: number;
  potC: number;
  /** Min of the first drop; null before it. */
  firstDropAt: number | null;
}

/** What instruments show at a moment. */
export interface Instant {
  readonly minutes: number;
  readonly headC: number;
  readonly potC: number;
  /** On the balance: what the receiver under the spout holds. */
  readonly massG: number;
  readonly watts: number;
  readonly receiver: number;
}

export function setUp(setup: Setup): Live {
  return {
    standing: beginning(setup),
    minutes: 0,
    heaterW: 0,
    receiver: 0,
    caught: [{ n1: 0, n2: 0, gas1: 0, fromC: Number.NaN, toC: Number.NaN, minutes: 0 }],
    headC: setup.airC,
    potC: setup.airC,
    firstDropAt: null,
  };
}

/** A thermometer follows within so many min, a flask that cools loses its heat within so many. */
const LAG_MIN = 0.4;
const COOLS_MIN = 25;
/** Steps no longer than this, min. */
const STRIDE = 0.25;
/** Less than this share of what was charged is dry. */
const DRY = 0.004;

/** Lets so many minutes pass. */
export function letRun(setup: Setup, live: Live, minutes: number): void {
  for (let left = minutes; left > 1e-9; ) {
    const stride = Math.min(STRIDE, left);
    left -= stride;
    pass(setup, live, stride);
  }
}

function pass(setup: Setup, live: Live, minutes: number): void {
  const { standing, heaterW } = live;
  const { apparatus, charge, airC } = setup;
  live.minutes += minutes;
  const rest = standing.n1 + standing.n2;
  if (rest < DRY * (charge.first + charge.second)) {
    follow(live, [airC, airC], minutes);
    return;
  }
  const reads = readsOf(setup, standing, heaterW);
  if (!Number.isNaN(standing.warmingC)) {
    const kJ = kJToBoil(setup, standing);
    const gap = reads.potC - standing.warmingC;
    const net = (heaterW * apparatus.heatShare - flaskLossW(apparatus, standing.warmingC - airC)) * 0.06 * minutes;
    if (gap > 0 && net < kJ) {
      standing.warmingC = Math.max(airC, standing.warmingC + (gap * net) / kJ);
      // Vapour reaches the head only just before the boil.
      follow(live, [airC + 0.1 * (standing.warmingC - airC), standing.warmingC], minutes);
      return;
    }
    standing.warmingC = Number.NaN;
  }
  if (!(reads.rate > 1e-6)) {
    standing.warmingC = reads.potC - 0.05;
    follow(live, [airC, reads.potC], minutes / (COOLS_MIN / LAG_MIN));
    return;
  }
  live.firstDropAt ??= live.minutes;
  const moles = Math.min(reads.rate * minutes, 0.9 * rest);
  const [before1, before2, beforeGas] = [standing.over1, standing.over2, standing.gas1];
  takeOver(setup, standing, { moles, y: reads.y });
  standing.minutes += minutes;
  const into = itemAt(live.caught, live.receiver);
  into.n1 += standing.over1 - before1;
  into.n2 += standing.over2 - before2;
  into.gas1 += standing.gas1 - beforeGas;
  into.minutes += minutes;
  follow(live, [reads.headC, reads.potC], minutes);
  if (Number.isNaN(into.fromC)) into.fromC = reads.headC;
  into.toC = reads.headC;
}

function follow(live: Live, [headC, potC]: readonly [number, number], minutes: number): void {
  const share = 1 - Math.exp(-minutes / LAG_MIN);
  live.headC += share * (headC - live.headC);
  live.potC += share * (potC - live.potC);
}

/** Puts the next receiver under the spout. */
export function switchReceiver(live: Live): void {
  live.receiver += 1;
  live.caught.push({ n1: 0, n2: 0, gas1: 0, fromC: Number.NaN, toC: Number.NaN, minutes: 0 });
}

/** Noise of the instruments, standard deviations: °C, g. */
const TEMP_NOISE = 0.06;
const MASS_NOISE = 0.15;

/** What the instruments show, to their last digit; `noise` gives normal deviates. */
export function shown(setup: Setup, live: Live, noise: () => number): Instant {
  const into = itemAt(live.caught, live.receiver);
  const digit = (value: number) => Math.round(value * 10) / 10;
  return {
    minutes: live.minutes,
    headC: digit(live.headC + TEMP_NOISE * noise()),
    potC: digit(live.potC + TEMP_NOISE * noise()),
    massG: Math.max(0, digit(gramsOf(setup.mixture, into.n1, into.n2) + MASS_NOISE * noise())),
    watts: Math.round(live.heaterW),
    receiver: live.receiver,
  };
}

/** What each receiver holds. */
export function caughtBy(setup: Setup, { caught }: Pick<Live, 'caught'>): readonly Caught[] {
  const { mixture } = setup;
  return caught.map(({ n1, n2, gas1, fromC, toC, minutes }) => ({
    n1,
    n2,
    gas1,
    grams: gramsOf(mixture, n1, n2),
    ml: mlOf(mixture, n1, n2),
    pct: pctOf(mixture, n1, n2),
    headC: [fromC, toC],
    minutes,
  }));
}

/** Normal deviates from a seed (Park and Miller’s generator, Box and Muller). */
export function deviates(seed: number): () => number {
  let state = (Math.abs(Math.trunc(seed)) % 2147483646) + 1;
  const uniform = () => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
  for (let i = 0; i < 10; i++) uniform();
  return () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
}
