import { bisect } from '#base/numeric';
import { ok, type Result } from '#base/problem';
import { pooled, type Solution } from './solution.ts';
import { type Activity, solve } from './solve.ts';

export interface CurvePoint {
  readonly titreMl: number;
  readonly pH: number;
}

export interface Titration {
  readonly sample: Solution;
  readonly sampleMl: number;
  readonly titrant: Solution;
  /** Davies unless said otherwise. */
  readonly activity?: Activity;
}

/** pH after `titreMl` of the titrant, by {@link solve}; NaN where no state balances. */
export function phAt({ sample, sampleMl, titrant, activity }: Titration, titreMl: number, near?: Near) {
  return solve(pooled({ of: sample, ml: sampleMl }, { of: titrant, ml: titreMl }), activity, near);
}

/** An answer nearby, to start from. */
interface Near {
  readonly pH: number;
  readonly ionicStrength: number;
}

/** The curve of a titration at equal steps from 0 to `toMl`; every point starts from the one before it. */
export function curveOf(titration: Titration, toMl: number, points: number): Result<readonly CurvePoint[]> {
  const curve: CurvePoint[] = [];
  let near: Near | undefined;
  for (let i = 0; i < points; i++) {
    const titreMl = points === 1 ? 0 : (toMl * i) / (points - 1);
    const found = phAt(titration, titreMl, near);
    if (found.outcome !== 'solved') return { ok: false, problem: { code: 'out-of-range', message: found.why } };
    near = found;
    curve.push({ titreMl, pH: found.pH });
  }
  return ok(curve);
}

/** The titre at which the mixture has a pH, within the limits; null when it has it nowhere between. The curve only rises or only falls. */
export function titreAt(titration: Titration, pH: number, [lowMl, highMl]: readonly [number, number]): number | null {
  const off = (ml: number) => {
    const found = phAt(titration, ml);
    return found.outcome === 'solved' ? found.pH - pH : Number.NaN;
  };
  const found = bisect(off, { low: lowMl, high: highMl, within: CLOSE * (highMl - lowMl) });
  return found.outcome === 'converged' ? found.x : null;
}

/** Of the range: far below a drop. */
const CLOSE = 2.5e-7;
