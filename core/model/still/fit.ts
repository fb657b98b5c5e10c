import { doubleAt, itemAt, numberAt } from '#base/lookup';
import type { Apparatus } from '#matter/gear';
import { type Charge, chargeOf, gramsOf } from './charge.ts';
import type { Mixture } from './mixture.ts';
import { atMl, distil, type Run } from './run.ts';
import type { Setup } from './still.ts';

/** What was read at one moment; what was not read is absent. */
export interface StillReading {
  /** Since the first drop. */
  readonly minutes: number;
  readonly headC?: number;
  readonly potC?: number;
  /** mL or g over by then, in all receivers. */
  readonly overMl?: number;
  readonly overG?: number;
}

/** What is known beforehand, with standard uncertainties. */
export interface Prior {
  readonly pct: number;
  readonly pctSd: number;
  readonly platesSd: number;
  /** Of the share of the heater’s power that boils, relative. */
  readonly heatSd: number;
  /** g charged. */
  readonly grams: number;
}

export interface Estimate {
  readonly value: number;
  readonly sd: number;
}

export interface StillFit {
  readonly pct: Estimate;
  readonly plates: Estimate;
  /** Share of the heater’s power. */
  readonly heatShare: Estimate;
  /** W that boil, of the heater’s. */
  readonly boilsW: Estimate;
  /** The run by what was found; and by it a standard uncertainty to either side, for a band. */
  readonly run: Run;
  readonly low: Run;
  readonly high: Run;
  /** Readings that took part. */
  readonly used: number;
  /** Largest misfit, in standard uncertainties: over about 4 the readings and the model disagree. */
  readonly worst: number;
  readonly covariance: readonly (readonly number[])[];
}

/** Standard uncertainties of a reading: a thermometer, a mark, a balance under drops. */
const TEMP_SD = 0.12;
const ML_SD = 1.5;
const G_SD = 0.6;
/** The model itself, K: the table and the quasi-steady column. */
const MODEL_SD = 0.06;
/** Readings nearer together than this, min, say the same once more. */
const SHARED_MIN = 1.2;
/** No prior is surer than this, in its own unit. */
const LEAST_SD = 1e-4;
const STEPS = 160;
const ROUNDS = 12;

interface Asked {
  readonly mixture: Mixture;
  readonly apparatus: Apparatus;
  readonly prior: Prior;
  readonly staying?: Charge['staying'];
  readonly airC: number;
  readonly readings: readonly StillReading[];
}

/**
 * Charge strength, plates and heat from what was read so far (Gauss and Newton with Marquardt’s damping, priors as readings of
 * their own). Gives back how far it has come after each round, 0 to 1, so that whoever runs it can stop. Readings closer
 * together than the model tells apart are thinned to 200.
 */
export function* fitStill(asked: Asked): Generator<number, StillFit> {
  const readings = thinned(asked.readings);
  const { prior, apparatus } = asked;
  const start = [prior.pct, apparatus.plates, Math.log(apparatus.heatShare)];
  // An uncertainty of nothing at all would leave nothing to weigh readings against.
  const weights = [prior.pctSd, prior.platesSd, prior.heatSd].map((sd) => Math.max(LEAST_SD, sd));
  let at = [...start];
  const given: Given = { readings, start, weights };
  let here = residuals(asked, given, at);
  let damping = 1e-3;
  let jacobian: number[][] = [];
  for (let round = 0; round < ROUNDS; round++) {
    jacobian = slopes(asked, given, { at, here });
    let moved = false;
    for (let tries = 0; tries < 6 && !moved; tries++) {
      const step = solve3(normal(jacobian, damping), gradient(jacobian, here));
      const next = bounded(at.map((value, k) => value - numberAt(step, k)));
      const there = residuals(asked, given, next);
      if (sumOf(there) < sumOf(here)) {
        const gained = sumOf(here) - sumOf(there);
        [at, here, moved] = [next, there, true];
        damping = Math.max(1e-6, damping / 5);
        if (gained < 1e-4 * sumOf(here) + 1e-9) round = ROUNDS;
      } else damping *= 8;
    }
    yield Math.min(0.95, (round + 1) / ROUNDS);
    if (!moved) break;
  }
  jacobian = slopes(asked, given, { at, here });
  const degrees = Math.max(1, readings.length * 1.5 - 3);
  const misfit = Math.max(1, sumOf(here) / degrees);
  const covariance = inverse3(normal(jacobian, 0)).map((row) => row.map((each) => each * misfit));
  const sd = covariance.map((row, k) => Math.sqrt(Math.max(0, numberAt(row, k))));
  const run = distil(setupOf(asked, at));
  const shifted = (sign: number) =>
    distil(setupOf(asked, bounded([numberAt(at, 0) + sign * numberAt(sd, 0), numberAt(at, 1), numberAt(at, 2)])));
  const share = Math.exp(numberAt(at, 2));
  return {
    pct: { value: numberAt(at, 0), sd: numberAt(sd, 0) },
    plates: { value: numberAt(at, 1), sd: numberAt(sd, 1) },
    heatShare: { value: share, sd: share * numberAt(sd, 2) },
    boilsW: { value: run.loadW[0] ?? 0, sd: (run.loadW[0] ?? 0) * numberAt(sd, 2) },
    run,
    low: shifted(-1),
    high: shifted(1),
    used: readings.length,
    worst: Math.max(0, ...here.slice(0, -3).map(Math.abs)),
    covariance,
  };
}

const MOST = 200;

function thinned(readings: readonly StillReading[]): readonly StillReading[] {
  const sound = readings
    .filter(({ minutes }) => Number.isFinite(minutes) && minutes >= 0)
    .sort((a, b) => a.minutes - b.minutes);
  if (sound.length <= MOST) return sound;
  return Array.from({ length: MOST }, (_, k) => itemAt(sound, Math.round((k * (sound.length - 1)) / (MOST - 1))));
}

function bounded([pct = 0, plates = 1, heat = 0]: readonly number[]): number[] {
  return [Math.min(99.9, Math.max(0.05, pct)), Math.min(40, Math.max(1, plates)), Math.min(0, Math.max(-3, heat))];
}

function setupOf(
  { mixture, apparatus, prior, staying, airC }: Asked,
  [pct = 0, plates = 1, heat = 0]: readonly number[],
): Setup {
  const plain = chargeOf(mixture, prior.grams, pct);
  return {
    mixture,
    charge: staying ? { ...plain, staying } : plain,
    apparatus: { ...apparatus, plates, heatShare: Math.exp(heat) },
    airC,
  };
}

/** How far each reading lies from the model, in standard uncertainties; the priors last. */
function residuals(asked: Asked, { readings, start, weights }: Given, at: readonly number[]): number[] {
  const run = distil(setupOf(asked, at), {}, STEPS);
  const zero = doubleAt(run.minutes, 0);
  const found: number[] = [];
  const tempSd = Math.hypot(TEMP_SD, MODEL_SD);
  // Many readings of one instrument are not as many pieces of news: drift and model are shared for a while.
  const lasted = (readings.at(-1)?.minutes ?? 0) - (readings[0]?.minutes ?? 0);
  const shared = Math.sqrt(Math.max(1, (readings.length * SHARED_MIN) / Math.max(SHARED_MIN, lasted)));
  for (const { minutes, headC, potC, overMl, overG } of readings) {
    const byTime = mlAfter(run, zero + minutes);
    const ml = overMl ?? (overG === undefined ? byTime : mlOfGrams(run, overG));
    if (headC !== undefined) found.push((headC - atMl(run, 'headC', ml)) / tempSd / shared);
    if (potC !== undefined) found.push((potC - atMl(run, 'potC', ml)) / tempSd / shared);
    if (overMl !== undefined) found.push((overMl - byTime) / (ML_SD + 0.005 * overMl) / shared);
    else if (overG !== undefined) found.push((overG - gramsAt(run, byTime)) / (G_SD + 0.003 * overG) / shared);
  }
  return [...found, ...at.map((value, k) => (value - numberAt(start, k)) / numberAt(weights, k))];
}

/** mL over so many min after the heat was put on. */
export function mlAfter({ minutes, overMl }: Run, at: number): number {
  const last = minutes.length - 1;
  if (at <= doubleAt(minutes, 0)) return 0;
  if (at >= doubleAt(minutes, last)) return doubleAt(overMl, last);
  let low = 0;
  let high = last;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (doubleAt(minutes, middle) <= at) low = middle;
    else high = middle;
  }
  return (
    doubleAt(overMl, low) +
    ((doubleAt(overMl, high) - doubleAt(overMl, low)) * (at - doubleAt(minutes, low))) /
      (doubleAt(minutes, high) - doubleAt(minutes, low) || 1)
  );
}

function gramsAt(run: Run, ml: number): number {
  return gramsOf(run.setup.mixture, atMl(run, 'over1', ml), atMl(run, 'over2', ml));
}

/** mL over when the balance shows so many g. */
export function mlOfGrams(run: Run, grams: number): number {
  const { overMl } = run;
  let [low, high] = [0, overMl.length - 1];
  const at = (i: number) => gramsOf(run.setup.mixture, doubleAt(run.over1, i), doubleAt(run.over2, i));
  if (grams <= 0) return 0;
  if (grams >= at(high)) return doubleAt(overMl, high);
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (at(middle) <= grams) low = middle;
    else high = middle;
  }
  return (
    doubleAt(overMl, low) +
    ((doubleAt(overMl, high) - doubleAt(overMl, low)) * (grams - at(low))) / (at(high) - at(low) || 1)
  );
}

/** What does not change from round to round. */
interface Given {
  readonly readings: readonly StillReading[];
  readonly start: readonly number[];
  readonly weights: readonly number[];
}

interface Place {
  readonly at: readonly number[];
  readonly here: readonly number[];
}

function slopes(asked: Asked, given: Given, { at, here }: Place): number[][] {
  const nudges = [Math.max(0.02, 0.004 * numberAt(at, 0)), 0.02, 0.01];
  return at.map((value, k) => {
    const moved = [...at];
    moved[k] = value + numberAt(nudges, k);
    return residuals(asked, given, moved).map((each, i) => (each - numberAt(here, i)) / numberAt(nudges, k));
  });
}

const sumOf = (values: readonly number[]) => values.reduce((sum, each) => sum + each * each, 0);
const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, each, i) => sum + each * numberAt(b, i), 0);

function normal(jacobian: readonly number[][], damping: number): number[][] {
  return jacobian.map((a, i) => jacobian.map((b, j) => dot(a, b) * (i === j ? 1 + damping : 1)));
}

function gradient(jacobian: readonly number[][], here: readonly number[]): number[] {
  return jacobian.map((column) => dot(column, here));
}

function solve3(matrix: readonly number[][], right: readonly number[]): number[] {
  return inverse3(matrix).map((row) => dot(row, right));
}

/** The inverse of a matrix of three; of one that has none, nought. */
function inverse3(m: readonly number[][]): number[][] {
  const [[a = 0, b = 0, c = 0] = [], [d = 0, e = 0, f = 0] = [], [g = 0, h = 0, i = 0] = []] = m;
  const det = a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g);
  const over = Math.abs(det) > 1e-300 ? 1 / det : 0;
  return [
    [e * i - f * h, c * h - b * i, b * f - c * e],
    [f * g - d * i, a * i - c * g, c * d - a * f],
    [d * h - e * g, b * g - a * h, a * e - b * d],
  ].map((row) => row.map((each) => each * over));
}
