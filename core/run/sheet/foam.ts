import { molarVolume } from '#matter/reaction';
import type { PlanFacts } from '#run/plan';
import { FOLLOWS_THE_BENCH } from '#run/technique';
import type { Walk } from './walk.ts';

/** The largest portion of a dose that is advised at once. */
const PORTION = 0.2;

/**
 * mL of foam at the most: what the gas of one portion raises, as much of it as comes within a minute. About, within a factor
 * of two. Slow gas and large portions are told apart by it; the share of the liquid that older plans take is not.
 */
export function foamOf({ plan, steps, bench }: PlanFacts, { gases, reactMl }: Walk): number {
  if (plan.tables < FOLLOWS_THE_BENCH) return plan.route.foamShare * reactMl;
  const mlPerMol = 1000 * molarVolume(bench.tempC, bench.pressureHPa);
  const foams = steps.map(({ id, adding }) => {
    const mol = gases.filter(({ step }) => step === id).reduce((sum, { amount }) => sum + amount.value, 0);
    if (!adding || mol <= 0) return 0;
    const quick = 1 - 2 ** (-1 / adding.halfLifeMin);
    return PORTION * mol * mlPerMol * adding.foamPerGas * quick;
  });
  return Math.max(0, ...foams);
}
