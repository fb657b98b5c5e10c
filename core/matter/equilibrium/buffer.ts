import { fail, ok, type Result } from '#base/problem';
import { type Constant, constantsOf, type Solution, solutionOf } from './solution.ts';
import { type Activity, capacityAt, logGamma, meanCharge, solve } from './solve.ts';

export interface BufferAsked {
  /** Any member of the family: ammonia or ammonium chloride. */
  readonly substanceId: string;
  readonly pH: number;
  readonly molPerL: number;
  readonly tempC: number;
  readonly activity?: Activity;
}

export interface Buffer {
  /** mol/L of the family, and of strong base (Na+, positive) or strong acid (Cl−, negative) beside it. */
  readonly molPerL: number;
  readonly strongMolPerL: number;
  /** Share of the family that is to be its base; the rest is its acid. */
  readonly baseShare: number;
  /** mol/L of strong acid or base a unit of pH. */
  readonly capacity: number;
  readonly ionicStrength: number;
  /** What the pH is when made so, by the solver: the check of the recipe. */
  readonly pH: number;
  readonly sources: readonly Constant[];
}

/** Below this share of acid or base a mixture holds its pH poorly. */
const LEAST_SHARE = 0.03;

/**
 * How much strong acid or base beside `molPerL` of a family brings it to a pH, at °C. `substanceId` is any member of the
 * family; its other ions are not counted: the recipe says what comes with what. Refuses a pH that the family does not hold.
 */
export function bufferOf({ substanceId, pH, molPerL, tempC, activity = 'davies' }: BufferAsked): Result<Buffer> {
  if (!(molPerL > 0 && molPerL <= 2)) return fail('out-of-range', 'A buffer is made between 0 and 2 mol/L.');
  if (!(pH > 0 && pH < 14)) return fail('out-of-range', 'The pH of a buffer lies between 0 and 14.');
  const held = solutionOf([{ substanceId, molPerL }], tempC);
  if (!held.ok) return held;
  const [family] = held.value.families;
  if (!family)
    return fail('no-data', 'A strong acid or base alone holds no pH: take a weak one, such as ammonia or acetic acid.');
  const bare: Solution = { ...held.value, spectatorCharge: 0, spectatorStrength: 0 };
  let ionic = activity === 'none' ? 0 : molPerL / 2;
  let strong = 0;
  // The ionic strength follows from the recipe and the recipe from it: each round shrinks the change some tenfold.
  for (let round = 0; round < 60; round++) {
    const lg = activity === 'none' ? 0 : logGamma(ionic);
    const hydrogen = 10 ** (-pH - lg) - 10 ** (pH - bare.pKw - lg);
    strong = -(hydrogen + family.molPerL * meanCharge(family, pH, activity === 'none' ? 0 : ionic));
    const made = solve({ ...bare, spectatorCharge: strong, spectatorStrength: Math.abs(strong) }, activity);
    if (made.outcome !== 'solved') return fail('out-of-range', made.why);
    if (Math.abs(made.ionicStrength - ionic) < 1e-7) break;
    ionic = activity === 'none' ? 0 : made.ionicStrength;
    if (activity === 'none') break;
  }
  const solution = { ...bare, spectatorCharge: strong, spectatorStrength: Math.abs(strong) };
  const made = solve(solution, activity);
  if (made.outcome !== 'solved') return fail('out-of-range', made.why);
  // Protons that each carries, between the two forms that are there: 1 is all acid.
  const protons = meanCharge(family, pH, ionic) - family.baseCharge;
  const baseShare = 1 - (protons - Math.floor(protons));
  const nearest = family.pKas.reduce((best, each) => (Math.abs(each - pH) < Math.abs(best - pH) ? each : best));
  const share = 1 / (1 + 10 ** Math.abs(nearest - pH));
  if (share < LEAST_SHARE)
    return fail(
      'out-of-range',
      `At pH ${pH} it holds next to nothing: its pKa is ${nearest.toFixed(2)}, a buffer wants that within about 1.5.`,
    );
  return ok({
    molPerL,
    strongMolPerL: strong,
    baseShare,
    capacity: capacityAt(solution, pH, ionic),
    ionicStrength: ionic,
    pH: made.pH,
    sources: constantsOf([substanceId]),
  });
}
