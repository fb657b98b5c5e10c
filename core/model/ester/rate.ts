import { itemAt, lastOf, must } from '#base/lookup';
import { esterAcids, esterAlcohols, esterCatalysts } from '#matter/data';
import type { Charge } from './equilibrium.ts';

/**
 * L²/(mol² s) at 25 °C of acetic acid with ethanol: rate = k [H⁺][acid][alcohol]. It follows from the hydrolysis of ethyl acetate in
 * water, 1.1e-4 L/(mol s), by detailed balance with K = 4; the same constant gives the hours of practice in nearly dry mixtures.
 */
const K_25 = 8e-6;
const R = 8.314e-3;
const KELVIN = 273.15;
/** Hours are good to this factor. */
export const HOURS_FACTOR = 2;

export interface Mixture {
  readonly acidId: string;
  readonly alcoholId: string;
  readonly charge: Charge;
  /** L of the whole. */
  readonly litres: number;
  /** mol of strong acid that the catalyst counts for. */
  readonly strong: number;
}

/** mol of strong acid that so many mol of a catalyst count for; undefined where it is none. */
export function strongOf(catalystId: string, mol: number): number | undefined {
  const row = esterCatalysts.find(({ catalyst }) => catalyst === catalystId);
  return row && row.counts * mol;
}

/** The usual charge of sulfuric acid on so many mol of an acid, mol. */
export function usualCatalyst(acidId: string, mol: number): number {
  const { usualPct, slowPct } = itemAt(esterCatalysts, 0);
  return (mol * (isSlow(acidId) ? must(slowPct, 'slowPct') : usualPct)[1]) / 100;
}

const isSlow = (acidId: string) => (esterAcids.find(({ acid }) => acid === acidId)?.rate[1] ?? 1) < 0.2;

/** One point of a course: hours, mol of ester formed. */
export type CoursePoint = readonly [hours: number, formed: number];

/**
 * The course up to a thousandth from its end, at a steady temperature; null where nothing makes it run, or nothing is known of the pair.
 * Water taken away on the way is not followed: the course is that of the flask as it stands.
 */
export function courseOf(mixture: Mixture, { K, end, tempC }: { K: number; end: number; tempC: number }) {
  const perHour = end > 0 ? paceOf(mixture, { K, tempC }) : null;
  return perHour && stretched(perHour, end);
}

/** mol of ester an hour once so much of it is formed; null where nothing makes it run, or nothing is known of the pair. */
export function paceOf(
  mixture: Mixture,
  { K, tempC }: { K: number; tempC: number },
): ((formed: number) => number) | null {
  const acid = esterAcids.find((row) => row.acid === mixture.acidId);
  const alcohol = esterAlcohols.find((row) => row.alcohol === mixture.alcoholId);
  const { charge, litres, strong } = mixture;
  if (!acid || !alcohol || !(litres > 0)) return null;
  const itself = acid.itself ?? 0;
  if (!(strong > 0 || itself > 0)) return null;
  const k = constant(tempC) * alcohol.rate * acidRate(acid, tempC);
  return (x: number) => {
    const forward = (charge.acid - x) * (charge.alcohol - x);
    const back = ((charge.ester + x) * Math.max(0, charge.water + x - charge.taken)) / K;
    return (3600 * k * (strong + itself * (charge.acid - x)) * (forward - back)) / litres ** 2;
  };
}

function stretched(perHour: (formed: number) => number, end: number): readonly CoursePoint[] {
  const points: CoursePoint[] = [[0, 0]];
  let hours = 0;
  for (let i = 0; i < STEPS; i += 1) {
    // In u = −ln(what is still to come) the way is nearly straight.
    const [from, to] = [left(i), left(i + 1)];
    const mid = Math.sqrt(from * to);
    const slowness = (share: number) => (end * share) / perHour(end * (1 - share));
    hours += (DU / 6) * (slowness(from) + 4 * slowness(mid) + slowness(to));
    points.push([hours, end * (1 - to)]);
  }
  return points;
}

const STEPS = 70;
const DU = 0.1;
const left = (i: number) => Math.exp(-DU * i);

const constant = (tempC: number) => K_25 * arrhenius(60, 25, tempC);

function acidRate({ rate, atC, activationKJ }: (typeof esterAcids)[number], tempC: number): number {
  // Relative to acetic acid at the temperature where it was seen.
  return (rate[1] * arrhenius(activationKJ, atC, tempC)) / arrhenius(60, atC, tempC);
}

function arrhenius(kJ: number, fromC: number, toC: number): number {
  return Math.exp((kJ / R) * (1 / (fromC + KELVIN) - 1 / (toC + KELVIN)));
}

/** Hours to so much formed, by the course; null beyond its end. */
export function hoursTo(course: readonly CoursePoint[], formed: number): number | null {
  const upper = course.findIndex(([, x]) => x >= formed);
  if (upper < 0) return null;
  if (upper === 0) return 0;
  const [[t0, x0], [t1, x1]] = [itemAt(course, upper - 1), itemAt(course, upper)];
  return t0 + ((t1 - t0) * (formed - x0)) / (x1 - x0);
}

/** Formed after so many hours. */
export function formedAfter(course: readonly CoursePoint[], hours: number): number {
  const upper = course.findIndex(([t]) => t >= hours);
  if (upper < 0) return lastOf(course)[1];
  if (upper === 0) return 0;
  const [[t0, x0], [t1, x1]] = [itemAt(course, upper - 1), itemAt(course, upper)];
  return x0 + ((x1 - x0) * (hours - t0)) / (t1 - t0);
}
