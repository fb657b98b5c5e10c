import { dissolveMinutes, solubilityOf } from '#core/dish';
import { hoursSpan } from '#core/rate';
import { routeById, type StepTemplate } from '#core/route';
import type { Plan, Sheet } from '#core/run';
import { molarMass, substanceById } from '#core/substance';
import { formatNumber, formatPlain } from '#core/units';

/** Whether what is in will dissolve: water against the least, time, and what will not. */
export interface DissolveAdvice {
  readonly sentence: string;
  /** Water in against the least that dissolves it, % over; negative is too little. */
  readonly sparePct: number;
}

/** A middling salt, g/mL, and its grains as sold, mm. */
const GRAIN = { gPerMl: 2, mm: 1 } as const;
/** g of solution that a g of water and its salt make, by volume: close enough for a time within a factor of three. */
const SPREAD = 0.5;

/** Advice for a step that dissolves a solid in just enough water; null for others, and before both are in. */
export function dissolveAdvice(plan: Plan, sheet: Sheet, template: StepTemplate): DissolveAdvice | null {
  const route = routeById(plan.routeId);
  const water = route?.roles.find(({ dose }) => dose.by === 'to-dissolve');
  const { now } = sheet;
  if (!route || !now || water?.dose.by !== 'to-dissolve') return null;
  const { control, role } = water.dose;
  const fills = template.op.do === 'charge' && template.op.role === water.id;
  if (!fills && template.op.do !== 'dissolve') return null;
  const tempC = plan.controls[control] ?? 60;
  const line = sheet.charges.find((each) => each.role === role);
  const bottled = line?.bottleId ? plan.stock[line.bottleId]?.card.substanceId : undefined;
  const solid = bottled === undefined ? undefined : substanceById(bottled);
  const dry = solid && substanceById(solid.species);
  const n = dry && now.contents.amounts[dry.id];
  const s = dry && solubilityOf(dry, tempC);
  if (!dry || !n || !s?.ok || n.value <= 0 || now.contents.waterG.value <= 0) return null;
  const dryG = n.value * molarMass(dry.formula);
  const least = (100 * dryG) / s.value.gPer100gWater;
  const sparePct = 100 * (now.contents.waterG.value / least - 1);
  const saturation = s.value.gPer100gWater / (100 + SPREAD * s.value.gPer100gWater);
  const minutes = dissolveMinutes({
    grainMm: GRAIN.mm,
    gPerMl: GRAIN.gPerMl,
    saturation,
    filled: least / now.contents.waterG.value,
    tempC,
  });
  const inert = now.contents.inertG.value;
  return {
    sparePct,
    sentence: [
      sparePct < 0
        ? `At ${formatPlain(tempC)} °C it is ${formatNumber(least - now.contents.waterG.value, 2)} g of water short: it will not all dissolve.`
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
