import { decrease, itemAt, numberAt } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { phAt, type Titration } from './curve.ts';
import type { ProbePoint } from './end-points.ts';
import { inOrder } from './end-points.ts';

/** One number that a curve is to tell. */
export interface Free {
  readonly name: string;
  readonly start: number;
  readonly low: number;
  readonly high: number;
}

export interface Fitted {
  readonly values: Readonly<Record<string, number>>;
  /** Standard uncertainty of each, from the scatter of the readings about the curve. */
  readonly sds: Readonly<Record<string, number>>;
  /** pH, root mean square. */
  readonly scatter: number;
  readonly rounds: number;
}

const MOST_ROUNDS = 40;
/** Relative gain of a round below which it is settled. */
const SETTLED = 1e-7;

/**
 * The curve that goes best through readings of a probe: what is free (strength, a pKa, carbonate, the probe's offset as `offset`)
 * is moved by Levenberg and Marquardt's damped least squares within its limits. Refuses fewer readings than it needs, and what does
 * not settle.
 */
export function fitCurve(
  points: readonly ProbePoint[],
  free: readonly Free[],
  titrationOf: (values: Readonly<Record<string, number>>) => Titration,
): Result<Fitted> {
  const readings = inOrder(points);
  if (readings.length < free.length + 2)
    return fail(
      'missing-part',
      `A curve of ${free.length} unknowns wants at least ${free.length + 2} readings; there are ${readings.length}.`,
    );
  const named = (p: readonly number[]) => Object.fromEntries(free.map(({ name }, i) => [name, numberAt(p, i)]));
  const misses = (p: readonly number[]): number[] => {
    const values = named(p);
    const titration = titrationOf(values);
    let near: { pH: number; ionicStrength: number } | undefined;
    return readings.map(({ titreMl, pH }) => {
      const found = phAt(titration, titreMl, near);
      if (found.outcome !== 'solved') return 10;
      near = found;
      // On the steep part a hundredth of a mL is a whole unit of pH: a miss there says less than one on the flats.
      return found.pH + (values.offset ?? 0) - pH;
    });
  };
  const cost = (r: readonly number[]) => r.reduce((sum, each) => sum + each * each, 0);
  let p = free.map(({ start }) => start);
  let r = misses(p);
  let best = cost(r);
  let damping = 1e-2;
  for (let round = 1; round <= MOST_ROUNDS; round++) {
    const J = jacobian(misses, { p, r }, free);
    const { normal, gradient } = normalOf(J, r);
    let gained = false;
    for (let tries = 0; tries < 12; tries++) {
      const step = solveDamped(normal, gradient, damping);
      const next = p.map((each, i) => clamp(each - (step[i] ?? 0), itemAt(free, i)));
      const rNext = misses(next);
      const costNext = cost(rNext);
      if (costNext < best) {
        const gain = (best - costNext) / Math.max(best, 1e-300);
        [p, r, best] = [next, rNext, costNext];
        damping = Math.max(1e-9, damping / 5);
        gained = gain > SETTLED;
        break;
      }
      damping *= 5;
    }
    if (!gained)
      return ok(
        finished(named(p), free, {
          normal: normalOf(jacobian(misses, { p, r }, free), r).normal,
          best,
          n: readings.length,
          round,
        }),
      );
  }
  return fail('out-of-range', 'No curve of this kind settles on these readings: check what is titrated with what.');
}

interface Ending {
  readonly normal: readonly (readonly number[])[];
  readonly best: number;
  readonly n: number;
  readonly round: number;
}

function finished(
  values: Readonly<Record<string, number>>,
  free: readonly Free[],
  { normal, best, n, round }: Ending,
): Fitted {
  const variance = best / Math.max(1, n - free.length);
  const sds = Object.fromEntries(
    free.map(({ name }, i) => {
      const unit = free.map((_, k) => (k === i ? 1 : 0));
      const column = solveDamped(normal, unit, 0);
      return [name, Math.sqrt(Math.max(0, (column[i] ?? Number.NaN) * variance))];
    }),
  );
  return { values, sds, scatter: Math.sqrt(best / n), rounds: round };
}

function clamp(value: number, { low, high }: Free): number {
  return Math.min(high, Math.max(low, value));
}

/** Where the search stands, and what it misses there. */
interface At {
  readonly p: readonly number[];
  readonly r: readonly number[];
}

function jacobian(misses: (p: readonly number[]) => number[], { p, r }: At, free: readonly Free[]): number[][] {
  return p.map((value, i) => {
    const h = 1e-5 * Math.max(Math.abs(value), (itemAt(free, i).high - itemAt(free, i).low) * 1e-3);
    const shifted = p.map((each, k) => (k === i ? each + h : each));
    return misses(shifted).map((each, k) => (each - numberAt(r, k)) / h);
  });
}

function normalOf(J: readonly (readonly number[])[], r: readonly number[]) {
  const normal = J.map((a) => J.map((b) => a.reduce((sum, each, k) => sum + each * numberAt(b, k), 0)));
  const gradient = J.map((a) => a.reduce((sum, each, k) => sum + each * numberAt(r, k), 0));
  return { normal, gradient };
}

/** (N + λ diag N) x = g, by elimination with the largest pivot; what cannot be told apart stays where it is. */
function solveDamped(normal: readonly (readonly number[])[], gradient: readonly number[], damping: number): number[] {
  const n = gradient.length;
  const a = normal.map((row, i) => [
    ...row.map((each, k) => (k === i ? each * (1 + damping) : each)),
    numberAt(gradient, i),
  ]);
  for (let i = 0; i < n; i++) {
    let pivot = i;
    for (let k = i + 1; k < n; k++)
      if (Math.abs(numberAt(itemAt(a, k), i)) > Math.abs(numberAt(itemAt(a, pivot), i))) pivot = k;
    [a[i], a[pivot]] = [itemAt(a, pivot), itemAt(a, i)];
    const lead = numberAt(itemAt(a, i), i);
    if (Math.abs(lead) < 1e-300) continue;
    for (let k = 0; k < n; k++) {
      if (k === i) continue;
      const times = numberAt(itemAt(a, k), i) / lead;
      for (let j = i; j <= n; j++) decrease(itemAt(a, k), j, times * numberAt(itemAt(a, i), j));
    }
  }
  return a.map((row, i) => (Math.abs(numberAt(row, i)) < 1e-300 ? 0 : numberAt(row, n) / numberAt(row, i)));
}
