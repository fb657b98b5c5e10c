import { bisect } from '#base/numeric';
import type { Apparatus } from '#matter/gear';
import { condenserW, flaskLossW, headLossW } from './apparatus.ts';
import { type Charge, mlOf } from './charge.ts';
import { type Mixture, vapourKJ } from './mixture.ts';
import { topOf } from './plates.ts';
import { boilingWith } from './solutes.ts';

/** What a still is set up with. */
export interface Setup {
  readonly mixture: Mixture;
  readonly charge: Charge;
  readonly apparatus: Apparatus;
  readonly airC: number;
}

/** How it stands at a moment. Amounts in mol, of flask and column together. */
export interface Standing {
  /** Since the heat was put on, min. */
  minutes: number;
  n1: number;
  n2: number;
  /** What has gone over as liquid, and the first as gas that did not condense. */
  over1: number;
  over2: number;
  gas1: number;
  /** mL of liquid that has gone over, each drop by its own density. */
  overMl: number;
  /** °C of the flask while it warms up; NaN once it boils. */
  warmingC: number;
  /** Where the last search for the top ended. */
  hint: number;
}

/** What can be read of it at a moment. */
export interface Reads {
  readonly headC: number;
  readonly potC: number;
  /** Mole fractions: of the liquid that boils, and of what comes over. */
  readonly x: number;
  readonly y: number;
  /** mol that come over in a minute. */
  readonly rate: number;
  /** W that reach the condenser, and that it can take. */
  readonly loadW: number;
  readonly dutyW: number;
}

/** Heat that warms a g of what stays, and glass of a litre flask, J/K. */
const STAYING_CP = 1.6;
const GLASS_CP = 200;

export function beginning({ charge, airC }: Setup): Standing {
  return {
    minutes: 0,
    n1: charge.first,
    n2: charge.second,
    over1: 0,
    over2: 0,
    gas1: 0,
    overMl: 0,
    warmingC: airC,
    hint: Number.NaN,
  };
}

/** mol that hang in the column when it runs. */
export function holdup({ mixture, apparatus }: Setup, x: number): number {
  const { first, second } = mixture;
  return (apparatus.holdupMl * mixture.gPerMl(x)) / (x * first.M + (1 - x) * second.M);
}

/** How a still that boils runs at this power: temperatures, what comes over, how fast. Quasi-steady: the column is taken to follow the flask at once. */
export function readsOf(setup: Setup, standing: Standing, heaterW: number): Reads {
  const flow = flowOf(setup, standing, heaterW);
  const { mixture, apparatus, airC } = setup;
  const headC = apparatus.plates <= 1 ? mixture.boilsAt(flow.x) : mixture.boilsAt(mixture.dew(flow.y));
  return { ...flow, headC, dutyW: condenserW(apparatus, headC, airC) };
}

/** The same without the head’s temperature: what a half step asks. */
export function flowOf(setup: Setup, standing: Standing, heaterW: number): Omit<Reads, 'headC' | 'dutyW'> {
  const { mixture, apparatus, charge, airC } = setup;
  const { n1, n2 } = standing;
  const hung = apparatus.plates > 1 ? Math.min(holdup(setup, n1 / (n1 + n2)), 0.5 * (n1 + n2)) : 0;
  // What hangs in the column is richer than what boils: found once more with what hangs there.
  let pot1 = n1;
  let pot2 = n2;
  let { x, raiseK } = boilingWith(mixture, [pot1, pot2], charge.staying);
  const drive = (boilingC: number, y0: number) => {
    const kJ = vapourKJ(mixture, y0);
    const netW = Math.max(0, heaterW * apparatus.heatShare - flaskLossW(apparatus, boilingC - airC));
    const up = (netW * 0.06) / kJ;
    const fallsBack = Math.min(0.98 * up, (headLossW(apparatus, boilingC - airC) * 0.06) / kJ);
    const off = (up - fallsBack) / (1 + apparatus.reflux);
    return { up, off, kJ };
  };
  let flow = drive(mixture.boilsAt(x), mixture.vapour(x));
  const down = () => (flow.up > 0 ? Math.min(1, 1 - flow.off / flow.up) : 1);
  let top = topOf(mixture, x, { plates: apparatus.plates, down: down(), from: standing.hint });
  if (hung > 0) {
    for (let i = 0; i < 2; i++) {
      pot1 = Math.max(0, n1 - hung * top.held);
      pot2 = Math.max(0, n2 - hung * (1 - top.held));
      ({ x, raiseK } = boilingWith(mixture, [pot1, pot2], charge.staying));
      flow = drive(mixture.boilsAt(x), mixture.vapour(x));
      top = topOf(mixture, x, { plates: apparatus.plates, down: down(), from: top.y });
    }
  }
  standing.hint = top.y;
  const potC = mixture.boilsAt(x);
  const vapourKjPerMol = vapourKJ(mixture, top.y);
  return {
    potC: potC + raiseK,
    x,
    y: top.y,
    rate: flow.off,
    loadW: ((flow.off * (1 + apparatus.reflux)) / 0.06) * vapourKjPerMol,
  };
}

/** kJ still wanted before it boils, from where it stands. */
export function kJToBoil(setup: Setup, { n1, n2, warmingC }: Standing): number {
  const { mixture, charge, apparatus } = setup;
  const { x, raiseK } = boilingWith(mixture, [n1, n2], charge.staying);
  const capacity =
    n1 * mixture.first.cp +
    n2 * mixture.second.cp +
    charge.staying.grams * STAYING_CP +
    GLASS_CP * (apparatus.flaskMl / 1000);
  return (capacity * Math.max(0, mixture.boilsAt(x) + raiseK - warmingC)) / 1000;
}

/** Lets so many mol of a composition go over. What its cooling cannot hold leaves as gas. */
export function takeOver({ mixture }: Setup, standing: Standing, { moles, y }: { moles: number; y: number }): void {
  const took1 = Math.min(standing.n1, moles * y);
  const took2 = Math.min(standing.n2, moles - moles * y);
  standing.n1 -= took1;
  standing.n2 -= took2;
  const most = holdsCold(mixture);
  const stays1 = Math.min(took1, most >= 1 ? took1 : (most * took2) / (1 - most));
  standing.over1 += stays1;
  standing.over2 += took2;
  standing.gas1 += took1 - stays1;
  standing.overMl += mlOf(mixture, stays1, took2);
}

/** °C at which distillate is caught. */
const CAUGHT_C = 20;
const HOLDS = new Map<string, number>();

/** Mole fraction that condensate can hold in the receiver; 1 unless the first is a gas. */
export function holdsCold(mixture: Mixture): number {
  const key = `${mixture.id} ${mixture.pressureHPa}`;
  const known = HOLDS.get(key);
  if (known !== undefined) return known;
  let found = 1;
  if (mixture.boilsAt(mixture.ends) <= CAUGHT_C + 3) {
    const [low, high] = [0.1 * mixture.ends, mixture.ends];
    const holds = bisect((x) => mixture.boilsAt(x) - CAUGHT_C, { low, high, within: 1e-12 });
    if (holds.outcome === 'converged') found = holds.x;
    // The strongest that is held does not boil there yet: it holds all. Where even the weakest does, nothing more is known.
    else found = holds.outcome === 'no bracket' && holds.atHigh > 0 ? high : low;
  }
  HOLDS.set(key, found);
  return found;
}
