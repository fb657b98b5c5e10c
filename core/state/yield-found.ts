import { productMass, solutionYield, type YieldAccount, yieldOf } from '#core/account';
import { type ConstantMass, constantMass, type HydrateFinding, hydrateBy } from '#core/dry';
import { derive, type Figure, given, sdOf } from '#core/figure';
import { type Live, type Reading, readingValue } from '#core/log';
import type { Plan, RunStep } from '#core/plan';
import type { Sheet } from '#core/sheet';
import { massFractionFigure, waterDensityAt } from '#core/solution';
import { hydrateWater, molarMass, type Substance, substanceOf } from '#core/substance';
import { type AdditionLine, weighingSd } from '#core/technique';
import { shownTechnique } from './step-state.ts';

/** Weighings of the product: masses read at the drying step or any repeat of it, since it was last redissolved. */
export function weighingOf(plan: Plan, live: Live, steps: readonly RunStep[]): ConstantMass {
  const redissolved = steps.findLastIndex(({ inserted }) => inserted?.does === 'redissolve');
  const drying = new Set(
    steps
      .slice(redissolved + 1)
      .filter((step) => shownTechnique(step) === 'dry')
      .map((step) => step.key),
  );
  const weighings = live.flatMap(({ body, happened }) => {
    if (body.kind !== 'read' || body.quantity !== 'mass' || !drying.has(body.step)) return [];
    const read = readingValue(body.reading);
    return read && read.unit === 'g' ? [{ at: happened.at, grams: read.value }] : [];
  });
  return constantMass(weighings, plan.bench.balanceG);
}

/** The yield as it was found: a solid by its weighings, a solution that was made by its density. */
export function yieldAccount(plan: Plan, live: Live, sheet: Sheet, weighing: ConstantMass): YieldAccount | null {
  const { makes } = plan.route;
  const { theory } = sheet;
  if (makes.substanceId === undefined || !theory || theory.value <= 0) return null;
  const solid = substanceOf(makes.substanceId);
  if (makes.kind === 'solution') {
    const mass = dissolvedMass(plan, live, sheet, solid);
    return mass && solutionYield(mass, theory);
  }
  if (weighing.grams === null) return null;
  const spread = weighing.constant ? 0 : weighing.grams * 0.01;
  const sd = Math.hypot(weighingSd(plan.bench.balanceG), spread);
  const mass = productMass(weighing.grams, sd, `${solid.name}, weighed`);
  const line = sheet.additions.find((each) => each.limiting);
  const pct = line && strengthPct(line);
  const limiting = line && pct !== undefined ? { name: line.name, pct } : null;
  return yieldOf(mass, theory, solid, limiting, weighing.constant);
}

/**
 * What the weighings say of the crystal water. Over-dried: it stood constant once and lost more since. As its formula, or
 * wetter: by what the sheet expects to be in it. Null for what has no crystal water, before the mass is constant, and for
 * less than expected: that may as well have been lost on the way.
 */
export function hydrateFinding(plan: Plan, sheet: Sheet, weighing: ConstantMass): HydrateFinding | null {
  const { substanceId } = plan.route.makes;
  const solid = substanceId && substanceOf(substanceId);
  if (!solid || hydrateWater(solid.formula) === 0 || weighing.grams === null) return null;
  const { balanceG } = plan.bench;
  const M = molarMass(solid.formula);
  const over = overDried(weighing.weighings, balanceG);
  if (over !== undefined)
    return hydrateBy(solid.formula, weighing.grams, over / M, weighingSd(balanceG), weighingSd(balanceG) / M) ?? null;
  if (!weighing.constant || !sheet.product || sheet.product.value <= 0) return null;
  const found = hydrateBy(
    solid.formula,
    weighing.grams,
    sheet.product.value / M,
    weighingSd(balanceG),
    sdOf(sheet.product) / M,
  );
  return found && found.says !== 'over-dried' ? found : null;
}

/** Below this loss after it stood constant nothing is said of crystal water, %. */
const OVER_PCT = 1.5;

/** The mass that was constant before more was lost; undefined when nothing was. */
function overDried(weighings: ConstantMass['weighings'], balanceG: number): number | undefined {
  const last = weighings.at(-1);
  for (let i = 2; i < weighings.length; i++) {
    const stood = constantMass(weighings.slice(i - 2, i), balanceG);
    if (stood.constant && stood.grams && last && last.grams < stood.grams * (1 - OVER_PCT / 100)) return stood.grams;
  }
  return undefined;
}

/** g of what is dissolved in the finished solution, by its density and the volume it was filled to. */
function dissolvedMass(plan: Plan, live: Live, sheet: Sheet, solid: Substance): Figure | null {
  const step = plan.route.steps.find(({ op }) => op.do === 'make-up');
  const read = densityRead(live, step?.id ?? '');
  const value = read && readingValue(read);
  if (!value || !sheet.made || !(value.value > 0)) return null;
  const { tempC } = plan.bench;
  const uncertainty = { 'read:density': { name: 'reading the density', effect: Math.max(value.sd, DENSITY_SD) } };
  const rho = given(
    { symbol: 'ρ', name: 'density, read', unit: 'g/mL' },
    { value: value.value, uncertainty },
    'read at the bench',
  );
  const d = derive(
    { symbol: 'd', name: 'density against water at 20 °C', unit: '' },
    'ρ ÷ 0.9982',
    { ρ: rho },
    (x) => x.ρ / waterDensityAt(20),
  );
  const w = massFractionFigure(d, 'SG', solid, tempC, true);
  if (!w.ok) return null;
  return derive(
    { symbol: 'm', name: `${solid.name} in it, by its density`, unit: 'g' },
    'V × ρ × w ÷ 100',
    { V: sheet.made.filled, ρ: rho, w: w.value },
    (x) => (x.V * x.ρ * x.w) / 100,
  );
}

/** A hydrometer or a weighed volume reads to about this, g/mL. */
const DENSITY_SD = 0.002;

function densityRead(live: Live, step: string): Reading | undefined {
  const read = live.findLast(({ body }) => body.kind === 'read' && body.quantity === 'density' && body.step === step);
  return read?.body.kind === 'read' ? read.body.reading : undefined;
}

/** Mass % of what went in, from its own working. */
function strengthPct(line: AdditionLine): number | undefined {
  const { origin } = line.amount;
  return origin.by === 'formula' ? origin.inputs.w?.value : undefined;
}
