import { doubleAt } from '#base/lookup';
import { flaskLossW } from './apparatus.ts';
import { chargeMl, gramsOf, mlOf, pctOf } from './charge.ts';
import { massPct } from './mixture.ts';
import {
  beginning,
  flowOf,
  holdup,
  kJToBoil,
  type Reads,
  readsOf,
  type Setup,
  type Standing,
  takeOver,
} from './still.ts';

/** A run as it goes: one number each for every point, from the first drop to the last. */
export interface Run {
  readonly setup: Setup;
  /** Min since the heat was put on. */
  readonly minutes: Float64Array;
  /** mL gone over. */
  readonly overMl: Float64Array;
  /** mol gone over, of either, and of the first as gas that did not condense. */
  readonly over1: Float64Array;
  readonly over2: Float64Array;
  readonly gas1: Float64Array;
  readonly headC: Float64Array;
  readonly potC: Float64Array;
  /** Mass % of the first: of what comes over just then, and in the flask. */
  readonly pct: Float64Array;
  readonly potPct: Float64Array;
  /** mL that come over in a minute. */
  readonly mlPerMin: Float64Array;
  readonly loadW: Float64Array;
  readonly dutyW: Float64Array;
  /** Why it ends there. */
  readonly ends: 'dry' | 'asked' | 'no heat';
  /** mL in the flask at first. */
  readonly chargeMl: number;
}

export interface Until {
  /** Ends when the flask is so hot, or so much has come over. */
  readonly potC?: number;
  readonly overMl?: number;
}

/** A flask is dry for the model when this share of what boils is left, or what hangs in the column. */
const DRY = 0.01;
const USUAL_STEPS = 500;
/** A step takes at most this share of what is left, in a run of the usual steps: near the end composition runs away. */
const SHARE = 0.02;
/** No run is followed for longer, min. */
const LONGEST = 60 * 24 * 7;

/**
 * A batch still step by step (Rayleigh’s equation with plates): each step by the midpoint rule, so that 500 of them follow
 * the integral within 0.05 %. Mass and either component are kept to rounding.
 */
export function distil(setup: Setup, until: Until = {}, steps = USUAL_STEPS): Run {
  const standing = beginning(setup);
  const { apparatus } = setup;
  const all = standing.n1 + standing.n2;
  const floor = Math.max(DRY * all, apparatus.plates > 1 ? 1.05 * holdup(setup, standing.n1 / all) : 0);
  const share = SHARE * Math.max(1, (0.6 * USUAL_STEPS) / steps);
  const points = steps + Math.ceil(Math.log(1 / DRY) / share) + 4;
  const rows = new Rows(points);
  let ends: Run['ends'] = 'dry';
  const heating = heatingMin(setup, standing, apparatus.heaterW);
  // What would take weeks to boil does not.
  const boils = heating <= LONGEST;
  standing.minutes = boils ? heating : 0;
  let reads = readsOf(setup, standing, apparatus.heaterW);
  rows.put(setup, standing, reads);
  if (!(reads.rate > 1e-9) || !boils) return rows.run(setup, 'no heat');
  while (rows.count < points) {
    const left = standing.n1 + standing.n2;
    let moles = Math.min(all / steps, share * left, left - floor);
    if (moles <= 1e-9 * all) break;
    const middle = half(setup, standing, { moles, y: reads.y });
    moles = notPast(until, { setup, standing, moles, y: middle.y });
    takeOver(setup, standing, { moles, y: middle.y });
    standing.minutes += moles / middle.rate;
    reads = readsOf(setup, standing, apparatus.heaterW);
    rows.put(setup, standing, reads);
    if ((until.overMl !== undefined && standing.overMl >= until.overMl - 1e-6) || (until.potC ?? 1e9) <= reads.potC) {
      ends = 'asked';
      break;
    }
    if (!(reads.rate > 1e-9) || standing.minutes > LONGEST) {
      ends = 'no heat';
      break;
    }
  }
  return rows.run(setup, ends);
}

/** What comes over in the middle of a step. */
function half(setup: Setup, standing: Standing, { moles, y }: { moles: number; y: number }): Pick<Reads, 'y' | 'rate'> {
  const { n1, n2 } = standing;
  standing.n1 = Math.max(0, n1 - (moles / 2) * y);
  standing.n2 = Math.max(0, n2 - (moles / 2) * (1 - y));
  const reads = flowOf(setup, standing, setup.apparatus.heaterW);
  standing.n1 = n1;
  standing.n2 = n2;
  return reads;
}

/** The last step ends at the volume that was asked for. */
function notPast(
  { overMl }: Until,
  { setup, standing, moles, y }: { setup: Setup; standing: Standing; moles: number; y: number },
): number {
  if (overMl === undefined) return moles;
  const ml = mlOf(setup.mixture, moles * y, moles * (1 - y));
  const room = overMl - standing.overMl;
  return ml > room && ml > 0 ? (moles * room) / ml : moles;
}

/** Min until the first drop at this power; endless where it never boils. */
export function heatingMin(setup: Setup, standing: Standing, watts: number): number {
  const { apparatus, airC } = setup;
  const boils = readsOf(setup, standing, watts).potC;
  // On the way the flask loses half of what it loses at the boil.
  const lost = flaskLossW(apparatus, boils - airC);
  const net = watts * apparatus.heatShare - lost / 2;
  return net > 0 && watts * apparatus.heatShare > lost
    ? kJToBoil(setup, standing) / (net * 0.06)
    : Number.POSITIVE_INFINITY;
}

/** Rows under way. */
class Rows {
  count = 0;
  private readonly columns: Record<Column, Float64Array>;
  constructor(points: number) {
    this.columns = Object.fromEntries(COLUMNS.map((name) => [name, new Float64Array(points + 1)])) as Record<
      Column,
      Float64Array
    >;
  }

  put({ mixture }: Setup, standing: Standing, reads: Reads): void {
    const i = this.count++;
    const c = this.columns;
    c.minutes[i] = standing.minutes;
    c.overMl[i] = standing.overMl;
    c.over1[i] = standing.over1;
    c.over2[i] = standing.over2;
    c.gas1[i] = standing.gas1;
    c.headC[i] = reads.headC;
    c.potC[i] = reads.potC;
    c.pct[i] = massPct(mixture, reads.y);
    c.potPct[i] = pctOf(mixture, standing.n1, standing.n2);
    c.mlPerMin[i] = mlOf(mixture, reads.rate * reads.y, reads.rate * (1 - reads.y));
    c.loadW[i] = reads.loadW;
    c.dutyW[i] = reads.dutyW;
  }

  run(setup: Setup, ends: Run['ends']): Run {
    const columns = Object.fromEntries(
      COLUMNS.map((name) => [name, this.columns[name].subarray(0, this.count)]),
    ) as Record<Column, Float64Array>;
    return { setup, ...columns, ends, chargeMl: chargeMl(setup.mixture, setup.charge) };
  }
}

const COLUMNS = [
  'minutes',
  'overMl',
  'over1',
  'over2',
  'gas1',
  'headC',
  'potC',
  'pct',
  'potPct',
  'mlPerMin',
  'loadW',
  'dutyW',
] as const;
type Column = (typeof COLUMNS)[number];

/** A run between two volumes: what a receiver caught there. */
export interface Caught {
  readonly n1: number;
  readonly n2: number;
  readonly gas1: number;
  readonly grams: number;
  readonly ml: number;
  readonly pct: number;
  readonly headC: readonly [number, number];
  readonly minutes: number;
}

/** A column of a run at a volume gone over, straight between points. */
export function atMl(run: Run, column: Exclude<Column, 'overMl'>, ml: number): number {
  const xs = run.overMl;
  const ys = run[column];
  const last = xs.length - 1;
  if (!(ml > doubleAt(xs, 0))) return doubleAt(ys, 0);
  if (ml >= doubleAt(xs, last)) return doubleAt(ys, last);
  let low = 0;
  let high = last;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (doubleAt(xs, middle) <= ml) low = middle;
    else high = middle;
  }
  return (
    doubleAt(ys, low) +
    ((doubleAt(ys, high) - doubleAt(ys, low)) * (ml - doubleAt(xs, low))) /
      (doubleAt(xs, high) - doubleAt(xs, low) || 1)
  );
}

export function caughtBetween(run: Run, fromMl: number, toMl: number): Caught {
  const { mixture } = run.setup;
  const between = (column: 'over1' | 'over2' | 'gas1' | 'minutes') =>
    Math.max(0, atMl(run, column, toMl) - atMl(run, column, fromMl));
  const n1 = between('over1');
  const n2 = between('over2');
  return {
    n1,
    n2,
    gas1: between('gas1'),
    grams: gramsOf(mixture, n1, n2),
    ml: mlOf(mixture, n1, n2),
    pct: pctOf(mixture, n1, n2),
    headC: [atMl(run, 'headC', fromMl), atMl(run, 'headC', toMl)],
    minutes: between('minutes'),
  };
}

/** mL gone over when a temperature is first reached, rising or falling; null when it never is. */
export function mlAt(run: Run, column: 'headC' | 'potC', tempC: number): number | null {
  const ys = run[column];
  for (let i = 1; i < ys.length; i++) {
    const [a, b] = [doubleAt(ys, i - 1), doubleAt(ys, i)];
    if ((a - tempC) * (b - tempC) > 0 || a === b) continue;
    return (
      doubleAt(run.overMl, i - 1) + ((doubleAt(run.overMl, i) - doubleAt(run.overMl, i - 1)) * (tempC - a)) / (b - a)
    );
  }
  return null;
}
