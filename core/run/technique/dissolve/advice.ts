import { hoursSpan } from '#base/time';
import { formatNumber, formatPlain } from '#base/units';
import { molarMass, speciesOf } from '#matter/substance';
import { speciesAmount, waterWhenDissolved } from '#matter/vessel';
import { dissolveMinutes, solubilityOf } from '#model/dish';
import { settingOf } from '../facts.ts';
import type { StepView } from '../view.ts';

/** Whether what is in will dissolve: water against the least, time, and what will not. */
export interface DissolveAdvice {
  readonly sentence: string;
  /** Water in against the least that dissolves it, % more; negative is too little. */
  readonly sparePct: number;
}

/** A middling salt, g/mL, and its grains as sold, mm. */
const GRAIN = { gPerMl: 2, mm: 1 } as const;
/** g of solution that a g of water and its salt make, by volume: close enough for a time within a factor of three. */
const SPREAD = 0.5;

/** Advice for a step that dissolves a solid; `role` is the one that goes in at it. Null before both are in. */
export function advice(view: StepView): DissolveAdvice | null {
  return view.finished ? null : dissolveAdvice(view, undefined);
}

/** For a step that dissolves, or that adds the water to dissolve in. Null for others, and before both are in. */
export function dissolveAdvice(view: StepView, role: string | undefined): DissolveAdvice | null {
  const { facts, now } = view;
  const water = facts.recipe.roles.find(({ dose }) => dose.by === 'to-dissolve');
  if (!now || water?.dose.by !== 'to-dissolve' || (role !== undefined && role !== water.id)) return null;
  const tempC = settingOf(facts, water.dose.control);
  const content = facts.contents[water.dose.role];
  const species = content && speciesOf(content.substance);
  const n = species && speciesAmount(now, species.id);
  const s = species && solubilityOf(species, tempC, facts.tables);
  // The water is asked about once it is in: crystal water alone is not what it is to dissolve in.
  if (!species || !n || !s?.ok || n.value <= 0 || now.waterG.value <= 0) return null;
  const waterG = waterWhenDissolved(now).value;
  const least = (100 * n.value * molarMass(species.formula)) / s.value.gPer100gWater;
  const sparePct = 100 * (waterG / least - 1);
  const saturation = s.value.gPer100gWater / (100 + SPREAD * s.value.gPer100gWater);
  const minutes = dissolveMinutes({
    grainMm: GRAIN.mm,
    gPerMl: GRAIN.gPerMl,
    saturation,
    filled: least / waterG,
    tempC,
  });
  const inert = now.inertG.value;
  return {
    sparePct,
    sentence: [
      sparePct < 0
        ? `At ${formatPlain(tempC)} °C it is ${formatNumber(least - waterG, 2)} g of water short: it will not all dissolve.`
        : `At ${formatPlain(tempC)} °C there is ${formatNumber(sparePct, 2)} % of water to spare.`,
      minutes
        ? `Grains of ${GRAIN.mm} mm, stirred, take about ${hoursSpan([minutes[0] / 60, minutes[1] / 60])}; lumps longer by their size.`
        : '',
      inert > 0.05
        ? `Up to ${formatNumber(inert, 2)} g in it is something else: dirt and anticaking matter stay as a haze, filter them off.`
        : 'Nothing that does not dissolve is to be expected.',
    ]
      .filter((each) => each !== '')
      .join(' '),
  };
}
