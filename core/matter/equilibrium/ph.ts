import { fail, ok, type Result } from '#base/problem';
import { type Constant, constantsOf, type Dissolved, solutionOf } from './solution.ts';
import { type Activity, type Equilibrium, solve } from './solve.ts';

export interface PhAnswer {
  readonly pH: number;
  readonly ionicStrength: number;
  readonly beyondDavies: boolean;
  /** Rows the answer leans on. */
  readonly sources: readonly Constant[];
}

/** mol/L above which constants mean little. */
const STRONGEST = 2;

/**
 * pH of what is dissolved together, each 0 to 2 mol/L, at °C. Against published buffers within 0.02 to an ionic strength of 0.1,
 * 0.05 to 0.5 mol/L, 0.15 beyond. Open air's carbon dioxide is left out.
 */
export function phOf(dissolved: readonly Dissolved[], tempC: number, activity: Activity = 'davies'): Result<PhAnswer> {
  if (dissolved.some(({ molPerL }) => molPerL > STRONGEST))
    return fail(
      'out-of-range',
      'Above 2 mol/L a pH worked out from constants means little; dilute it in the question.',
    );
  const solution = solutionOf(dissolved, tempC);
  if (!solution.ok) return solution;
  const found = solved(solve(solution.value, activity));
  if (!found.ok) return found;
  const { pH, ionicStrength, beyondDavies } = found.value;
  return ok({ pH, ionicStrength, beyondDavies, sources: constantsOf(dissolved.map(({ substanceId }) => substanceId)) });
}

/** An outcome as a result. */
export function solved(equilibrium: Equilibrium): Result<Extract<Equilibrium, { outcome: 'solved' }>> {
  return equilibrium.outcome === 'solved' ? ok(equilibrium) : fail('out-of-range', equilibrium.why);
}
