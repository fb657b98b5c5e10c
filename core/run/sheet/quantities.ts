import type { Figure } from '#base/figure';
import { formatNumber, formatPlain } from '#base/units';
import type { VesselFit } from '#matter/vessel';
import type { PlanFacts } from '#run/plan';
import { techniques } from '#run/technique';
import { dryingCeiling } from './drying-ceiling.ts';
import type { Named, Names } from './sentence.ts';
import type { SheetGas } from './sheet.ts';
import type { StepHeat, Walk } from './walk.ts';

/** Figures of all techniques, with how many figures each is shown to. */
const DIGITS: ReadonlyMap<string, number> = new Map(
  Object.values(techniques).flatMap(({ gives }) => Object.entries(gives)),
);

interface Said {
  readonly gases: readonly SheetGas[];
  readonly vessel: VesselFit | null;
  readonly worst: StepHeat | undefined;
}

/** The quantities that the sentences of any step may name, as they are shown. What is not known is not among them. */
export function namesOf(facts: PlanFacts, walk: Walk, { gases, vessel, worst }: Said): Names {
  const names: Record<string, Named> = {
    'bench.temp': { shown: `${formatPlain(facts.bench.tempC)} °C` },
    'made.name': { shown: facts.target.substance.name },
  };
  for (const { role, dose, name } of walk.end.additions) {
    names[`${role}.mass`] = { shown: `${formatPlain(dose.takeMassG)} g`, figure: dose.mass };
    names[`${role}.name`] = { shown: name };
    if (!dose.volume) continue;
    const volume = dose.take.unit === 'mL' ? formatPlain(dose.take.value) : formatNumber(dose.volume.value, 3);
    names[`${role}.volume`] = { shown: `${volume} mL`, figure: dose.volume };
  }
  for (const { id, start, unit } of facts.recipe.controls)
    names[`set.${id}`] = { shown: `${formatPlain(facts.settings[id] ?? start)} ${unit}`.trim() };
  if (worst) names['heat.rise'] = rough(worst.rise, 2);
  names.vessel = { shown: vessel ? `the ${vessel.vessel.name}` : 'a large vessel' };
  const [gas] = gases;
  if (gas) names['gas.volume'] = rough(gas.volume, 2);
  for (const { id, volume } of gases) names[`gas.${id}`] = rough(volume, 2);
  const ceilingC = dryingCeiling(facts);
  if (ceilingC !== undefined) names['dry.ceiling'] = { shown: `${formatPlain(ceilingC)} °C` };
  return { ...names, ...shownOf(walk.end.figures) };
}

/** The figures of a step or of a run as sentences show them. */
export function shownOf(figures: Readonly<Record<string, Figure | null>>): Names {
  const names: Record<string, Named> = {};
  for (const [name, figure] of Object.entries(figures)) if (figure) names[name] = rough(figure, DIGITS.get(name) ?? 3);
  return names;
}

function rough(figure: Figure, digits: number): Named {
  return { shown: `${formatNumber(figure.value, digits)} ${figure.unit}`.trim(), figure };
}
