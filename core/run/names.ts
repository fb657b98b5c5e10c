import type { Figure } from '#core/figure';
import { substanceById } from '#core/substance';
import { formatNumber, formatPlain } from '#core/units';
import type { Sheet } from './batch-sheet.ts';
import type { Context } from './context.ts';
import type { Named } from './template.ts';
import type { StepHeat } from './walk-heat.ts';

/** The quantities that step sentences may name, as they are shown. */
export function namesOf(context: Context, sheet: Omit<Sheet, 'names'>): Readonly<Record<string, Named>> {
  const { plan, route } = context;
  const names: Record<string, Named> = { 'bench.temp': { shown: `${formatPlain(plan.bench.tempC)} °C` } };
  const rough = (figure: Figure, figures = 3): Named => ({
    shown: `${formatNumber(figure.value, figures)} ${figure.unit}`.trim(),
    figure,
  });
  for (const { role, dose, name } of sheet.charges) {
    names[`${role}.mass`] = { shown: `${formatPlain(dose.takeMassG)} g`, figure: dose.mass };
    const volume = dose.take.unit === 'mL' ? formatPlain(dose.take.value) : formatNumber(dose.volume?.value ?? 0, 3);
    names[`${role}.volume`] = { shown: `${volume} mL`, figure: dose.volume ?? dose.mass };
    names[`${role}.name`] = { shown: name };
  }
  const rise = sheet.heats.reduce<StepHeat | undefined>(
    (a, b) => (a && Math.abs(a.rise.value) >= Math.abs(b.rise.value) ? a : b),
    undefined,
  );
  names['heat.rise'] = rise ? rough(rise.rise, 2) : { shown: 'a few K' };
  names.vessel = { shown: sheet.vessel ? `the ${sheet.vessel.vessel.name}` : 'a large vessel' };
  names['gas.volume'] = sheet.gas ? rough(sheet.gas.volume, 2) : { shown: 'gas' };
  for (const id of ['hydrogen', 'carbon-dioxide', 'ammonia-gas']) {
    const gas = sheet.gases.find((each) => each.id === id);
    names[`gas.${id}`] = gas ? rough(gas.volume, 2) : { shown: 'some' };
  }
  // A run that was changed may not come to some of these; its sentences still stand.
  const maybe = (name: string, figure: Figure | null | undefined, figures: number, otherwise: string) => {
    names[name] = figure ? rough(figure, figures) : { shown: otherwise };
  };
  maybe('boil.volume', sheet.boil?.volume, 2, 'a third');
  maybe('boil.away', sheet.boil?.away, 2, 'some');
  maybe('dish.volume', sheet.dish, 2, 'half');
  maybe('crystals.mass', sheet.crystals, 3, 'what there is');
  maybe('liquor.volume', sheet.liquor, 2, 'some');
  maybe('product.mass', sheet.product, 3, 'what there is');
  names['cold.temp'] = { shown: `${formatPlain(plan.controls.cold ?? 5)} °C` };
  names['hot.temp'] = { shown: `${formatPlain(plan.controls.hot ?? 80)} °C` };
  names['dry.ceiling'] = { shown: `${route.drying?.ceilingC ?? 40} °C` };
  maybe('made.volume', sheet.made?.volume, 4, 'the whole');
  maybe('made.mass', sheet.made?.mass, 4, 'the whole');
  maybe('made.strength', sheet.made?.strength, 3, 'unknown');
  names['made.name'] = { shown: substanceById(plan.target.substanceId)?.name ?? 'solution' };
  return names;
}
