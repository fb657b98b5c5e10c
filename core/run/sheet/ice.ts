import { derive, type Figure, given } from '#base/figure';
import type { PlanFacts } from '#run/plan';
import { shownOf } from './quantities.ts';
import type { Named } from './sentence.ts';
import type { StepHeat } from './walk.ts';

/** J that a gram of ice takes to melt, and to warm a K once it is water. */
const FUSION_J = 333.6;
const WATER_J = 4.18;

/**
 * g of ice, in place of as much of its water, that keep a step under its ceiling if all of its heat came at once; undefined where
 * none is needed, where the ceiling is not above freezing, and where a part of the heat is not known.
 */
export function iceFor(
  { heat, rise, notKnown }: StepHeat,
  { startC, ceilingC }: { startC: number; ceilingC: number },
): Figure | undefined {
  if (notKnown.length > 0 || !(ceilingC > 0) || startC + rise.value <= ceilingC) return undefined;
  const naming = { symbol: 'm(ice)', name: 'ice that keeps it under its ceiling', unit: 'g' };
  const celsius = (symbol: string, value: number) =>
    given({ symbol, name: 'temperature', unit: '°C' }, value, 'bench and step');
  return derive(
    naming,
    '1000 × Q × (ΔT − c + t) ÷ ΔT ÷ (333.6 + 4.18 × t)',
    { Q: heat, ΔT: rise, c: celsius('c', ceilingC), t: celsius('t', startC) },
    (x) => (1000 * x.Q * ((x.ΔT - x.c + x.t) / x.ΔT)) / (FUSION_J + WATER_J * x.t),
  );
}

/** The ice of each step that wants some, by step, as sentences name it. */
export function iceByStep(
  facts: PlanFacts,
  heats: readonly StepHeat[],
): ReadonlyMap<string, Readonly<Record<string, Named>>> {
  const by = new Map<string, Readonly<Record<string, Named>>>();
  for (const heat of heats) {
    const ceilingC = facts.steps.find(({ id }) => id === heat.step)?.ceilingC;
    if (ceilingC === null || ceilingC === undefined) continue;
    const ice = iceFor(heat, { startC: facts.bench.tempC, ceilingC });
    if (ice) by.set(heat.step, shownOf({ 'heat.ice': ice }));
  }
  return by;
}
