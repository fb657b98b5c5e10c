import { numberAt } from '#base/lookup';
import type { Family, Solution } from './solution.ts';

/** How ions in each other's company are treated: as if alone, or by the Davies equation. */
export type Activity = 'davies' | 'none';

/** A solved solution, or that it could not be and why: never a half-answer. */
export type Equilibrium =
  | {
      readonly outcome: 'solved';
      readonly pH: number;
      /** mol/L. */
      readonly ionicStrength: number;
      /** Whether the ionic strength is past where Davies holds (0.5 mol/L); activity coefficients are held there. */
      readonly beyondDavies: boolean;
      /** Evaluations of the charge balance that it took. */
      readonly evaluations: number;
    }
  | { readonly outcome: 'no-such-state'; readonly why: string };

/** The range of pH in which a balance is sought: beyond it no water is left to speak of. */
const LOWEST_PH = -3;
const HIGHEST_PH = 17;
const PH_WIDTH = 1e-10;
/** Relative; a ten-thousandth of the ionic strength moves the pH by less than 1e-5. */
const IONIC_WIDTH = 1e-4;
const MOST_ROUNDS = 60;
export const DAVIES_TO = 0.5;

/**
 * The pH at which charges balance. The balance falls with pH without a break, so it is closed in by a bracket that a Newton
 * step may only narrow; the ionic strength, which hangs on the pH, is closed in by a bracket of its own. Neither can run away.
 */
export function solve(
  solution: Solution,
  activity: Activity = 'davies',
  near?: { pH: number; ionicStrength: number },
): Equilibrium {
  const count: Count = { evaluations: 0 };
  if (activity === 'none') {
    const pH = balanced(solution, 0, { from: near?.pH ?? 7, count });
    if (Number.isNaN(pH)) return unbalanced();
    return done(pH, ionicStrength(solution, pH, 0), count);
  }
  let pH = near?.pH ?? 7;
  const strengthAt = (ionic: number) => {
    pH = balanced(solution, logGamma(ionic), { from: pH, count });
    return ionicStrength(solution, pH, logGamma(ionic));
  };
  let low = 0;
  let high = mostIonic(solution);
  let ionic = Math.min(high, near?.ionicStrength ?? strengthAt(0));
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const found = strengthAt(ionic);
    if (Number.isNaN(pH)) return unbalanced();
    if (found > ionic) low = ionic;
    else high = ionic;
    if (Math.abs(found - ionic) <= IONIC_WIDTH * Math.max(found, 1e-7)) return done(pH, found, count);
    // What it found is the better guess, unless that leaves what is known to hold the answer.
    ionic = found > low && found < high ? found : (low + high) / 2;
  }
  return { outcome: 'no-such-state', why: 'The ionic strength did not settle.' };
}

function unbalanced(): Equilibrium {
  return {
    outcome: 'no-such-state',
    why: 'No pH balances these charges: more of an acid or base than water can hold.',
  };
}

function done(pH: number, ionic: number, { evaluations }: Count): Equilibrium {
  return { outcome: 'solved', pH, ionicStrength: ionic, beyondDavies: ionic > DAVIES_TO, evaluations };
}

interface Count {
  evaluations: number;
}

/** No ion can be stronger than all families at their highest charge. */
function mostIonic({ families, spectatorCharge, spectatorStrength }: Solution): number {
  const own = families.reduce((sum, each) => sum + each.molPerL * topCharge(each) ** 2, 0);
  return 1 + spectatorStrength + Math.abs(spectatorCharge) + own;
}

function topCharge({ baseCharge, pKas }: Family): number {
  return Math.max(Math.abs(baseCharge), Math.abs(baseCharge + pKas.length));
}

/** log10 of the activity coefficient of a singly charged ion, Davies 1962, 25 °C; held at 0.5 mol/L beyond it. */
export function logGamma(ionicStrength: number): number {
  const I = Math.min(ionicStrength, DAVIES_TO);
  const root = Math.sqrt(I);
  return -0.509 * (root / (1 + root) - 0.3 * I);
}

interface Moments {
  /** Mean charge, its variance and mean square over the forms of a family. */
  readonly mean: number;
  readonly variance: number;
  readonly square: number;
}

/** Shares of a family's forms by protons carried, none first. */
export function sharesOf({ pKas, baseCharge }: Family, pH: number, lgGamma: number): number[] {
  const logs = [0];
  let top = 0;
  for (let j = 1; j <= pKas.length; j++) {
    const before = baseCharge + j - 1;
    const after = baseCharge + j;
    // 10^-pH is an activity, the forms are concentrations.
    const log = numberAt(logs, j - 1) - pH + numberAt(pKas, pKas.length - j) + lgGamma * (before ** 2 - after ** 2);
    logs.push(log);
    if (log > top) top = log;
  }
  let sum = 0;
  for (let j = 0; j < logs.length; j++) {
    logs[j] = 10 ** (numberAt(logs, j) - top);
    sum += numberAt(logs, j);
  }
  for (let j = 0; j < logs.length; j++) logs[j] = numberAt(logs, j) / sum;
  return logs;
}

function momentsOf(family: Family, pH: number, lgGamma: number): Moments {
  const shares = sharesOf(family, pH, lgGamma);
  let mean = 0;
  let square = 0;
  for (let j = 0; j < shares.length; j++) {
    const charge = family.baseCharge + j;
    mean += numberAt(shares, j) * charge;
    square += numberAt(shares, j) * charge * charge;
  }
  return { mean, square, variance: Math.max(0, square - mean * mean) };
}

/** The root of the charge balance by Newton inside a bracket; NaN when no pH balances. */
function balanced(solution: Solution, lgGamma: number, { from, count }: { from: number; count: Count }): number {
  const { families, spectatorCharge, pKw } = solution;
  let low = LOWEST_PH;
  let high = HIGHEST_PH;
  let pH = Math.min(high, Math.max(low, from));
  let slope = 0;
  const charge = (at: number) => {
    count.evaluations++;
    const h = 10 ** (-at - lgGamma);
    const oh = 10 ** (at - pKw - lgGamma);
    let sum = h - oh + spectatorCharge;
    let steep = h + oh;
    for (const family of families) {
      const { mean, variance } = momentsOf(family, at, lgGamma);
      sum += family.molPerL * mean;
      steep += family.molPerL * variance;
    }
    slope = -Math.LN10 * steep;
    return sum;
  };
  if (charge(low) < 0 || charge(high) > 0) return Number.NaN;
  for (let i = 0; i < 100 && high - low > PH_WIDTH; i++) {
    const off = charge(pH);
    if (off > 0) low = pH;
    else high = pH;
    const step = slope < 0 ? -off / slope : Number.NaN;
    if (Math.abs(step) < PH_WIDTH) return pH;
    const next = pH + step;
    pH = next > low && next < high ? next : (low + high) / 2;
  }
  return pH;
}

function ionicStrength({ families, spectatorStrength, pKw }: Solution, pH: number, lgGamma: number): number {
  let sum = 10 ** (-pH - lgGamma) + 10 ** (pH - pKw - lgGamma) + spectatorStrength;
  for (const family of families) sum += family.molPerL * momentsOf(family, pH, lgGamma).square;
  return sum / 2;
}

/**
 * Buffer capacity dC/dpH, mol/L of strong base a unit of pH (Van Slyke), at a pH that need not be the solution's own.
 */
export function capacityAt({ families, pKw }: Solution, pH: number, ionic: number): number {
  const lg = logGamma(ionic);
  let sum = 10 ** (-pH - lg) + 10 ** (pH - pKw - lg);
  for (const family of families) sum += family.molPerL * momentsOf(family, pH, lg).variance;
  return Math.LN10 * sum;
}

/** Mean charge of a family at a pH. */
export function meanCharge(family: Family, pH: number, ionic: number): number {
  return momentsOf(family, pH, logGamma(ionic)).mean;
}
