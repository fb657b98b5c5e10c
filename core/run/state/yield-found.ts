import { derive, type Figure, given, sdOf } from '#base/figure';
import { type Quantity, type Reading, readingValue } from '#base/reading';
import { formatNumber } from '#base/units';
import { productMass, solutionYield, type YieldAccount, yieldOf } from '#matter/account';
import { massFractionFigure, waterDensityAt } from '#matter/solution';
import { hydrateWater, molarMass, molarMassFigure, type Substance, substanceOf } from '#matter/substance';
import { type ConstantMass, constantMass, type HydrateFinding, hydrateBy } from '#model/dry';
import type { Live } from '#run/log';
import type { Plan, RunStep } from '#run/plan';
import type { Furthest, Sheet } from '#run/sheet';
import { type AdditionLine, AS_IT_REALLY_IS, weighingSd } from '#run/technique';
import { shownTechnique } from './step-state.ts';

/** The weighings of a product: dry ones judged, and the last one of it wet. */
export interface Weighed extends ConstantMass {
  /** g of it wet, as it was last weighed so; null when it never was. */
  readonly wetG: number | null;
}

/**
 * Weighings of the product since it was last redissolved: masses read at the drying step, any repeat of it or any step after,
 * and what was said to be dry before. What is caught on the filter is wet unless it is said to be dry.
 */
export function weighingOf(plan: Plan, live: Live, steps: readonly RunStep[]): Weighed {
  const since = steps.slice(steps.findLastIndex(({ inserted }) => inserted?.does === 'redissolve') + 1);
  const drying = since.findIndex((step) => shownTechnique(step) === 'dry');
  const caught = since.findIndex((step) => isCaught(step));
  const place = new Map(since.map(({ key }, i) => [key, i]));
  const dry: { at: string; grams: number }[] = [];
  let wetG: number | null = null;
  for (const { body, happened } of live) {
    if (body.kind !== 'read' || body.quantity !== 'mass' || body.of === 'liquor') continue;
    const at = place.get(body.step);
    const read = readingValue(body.reading);
    if (at === undefined || !read || read.unit !== 'g') continue;
    const late = drying >= 0 && at >= drying;
    const isDry = body.state === 'dry' ? late || (caught >= 0 && at >= caught) : body.state === undefined && late;
    if (isDry) dry.push({ at: happened.at, grams: read.value });
    else if (late || (caught >= 0 && at >= caught)) wetG = read.value;
  }
  const found = constantMass(dry, plan.bench.balanceG);
  return {
    ...found,
    wetG,
    sentence:
      found.grams === null && wetG !== null
        ? `Weighed wet: between two fifths and all of ${formatNumber(wetG, 3)} g is product. Dry it, and weigh it twice.`
        : found.sentence,
  };
}

function isCaught({ template }: RunStep): boolean {
  return template?.op.do === 'filter' && template.op.keep === 'solid';
}

/** The yield as it was found: a solid by its weighings, a solution that was made by its density. */
export function yieldAccount(plan: Plan, { live, sheet, weighing }: Found): YieldAccount | null {
  const { makes } = plan.route;
  const { theory, furthest } = sheet;
  if (makes.substanceId === undefined) return null;
  const solid = substanceOf(makes.substanceId);
  const line = sheet.additions.find((each) => each.limiting);
  const of = line?.name ?? 'the limiting reagent';
  if (makes.kind === 'solution') {
    const dissolved = dissolvedMass(plan, live, sheet, solid);
    return dissolved && theory && theory.value > 0 ? solutionYield(dissolved, theory, of) : null;
  }
  if (makes.kind === 'liquid') {
    const { product } = sheet;
    // Before anything was caught nothing was found.
    const caught = sheet.now?.vessels[makes.vessel];
    return product && caught && theory && theory.value > 0 ? solutionYield(product, theory, of) : null;
  }
  const weighed = weighedMass(plan, weighing, solid);
  if (!weighed) return null;
  const mass = withoutOthers(weighed, sheet);
  const pct = line && strengthPct(line);
  const limiting = line && pct !== undefined ? { name: line.name, pct } : null;
  const rest = { mass, solid, constant: weighing.constant, expected: sheet.product };
  const short = !theory || mass.value > theory.value + 2 * Math.hypot(sdOf(mass), sdOf(theory));
  if (furthest && short && furthest.mass.value > 1.01 * (theory?.value ?? 0)) {
    const account = yieldOf({ ...rest, theory: furthest.mass, of: `the ${furthest.of}`, limiting: null });
    return { ...account, explanations: [shortSays(furthest, theory), ...account.explanations] };
  }
  return theory && theory.value > 0 ? yieldOf({ ...rest, theory, of, limiting }) : null;
}

interface Found {
  readonly live: Live;
  readonly sheet: Sheet;
  readonly weighing: Weighed;
}

/** More than what ran out could set free: counted against all that was there to be set free. */
function shortSays({ of, short }: Furthest, theory: Figure | null): string {
  const least =
    theory && theory.value > 0
      ? `More than ${formatNumber(theory.value, 3)} g, all that the ${short}`
      : `By its label the ${short}`;
  const could = theory && theory.value > 0 ? 'could set free by its label' : 'could set none of it free';
  return `${least} ${could}: so it is counted against all of the ${of}. Either the ${short} was stronger, or what came down has ${of} in it that was never set free: wash it until the washings are neutral, and weigh it again.`;
}

/** A crust was weighed with all that dried up with the product: that is taken off, as far as it is known. */
function withoutOthers(mass: Figure, { figures }: Sheet): Figure {
  const { 'crust.other': other, 'crystals.mass': crust } = figures;
  if (!other || !crust || !(other.value > 0) || !(crust.value > 0)) return mass;
  return derive(
    { symbol: 'm', name: 'product in what was weighed', unit: 'g' },
    'm × (1 − o ÷ c)',
    { m: mass, o: other, c: crust },
    (x) => x.m * (1 - x.o / x.c),
  );
}

/** g of product: at constant mass, or as it was last; weighed only wet, somewhere between two fifths and all of that. */
function weighedMass(plan: Plan, weighing: Weighed, solid: Substance): Figure | null {
  const name = `${solid.name}, weighed`;
  if (weighing.grams !== null) {
    const spread = weighing.constant ? 0 : weighing.grams * 0.01;
    return productMass(weighing.grams, Math.hypot(weighingSd(plan.bench.balanceG), spread), name);
  }
  if (weighing.wetG === null) return null;
  const [low, high] = [0.4 * weighing.wetG, weighing.wetG];
  return productMass((low + high) / 2, (high - low) / 2 / Math.sqrt(3), `${name} wet`);
}

/**
 * What the weighings say of the crystal water. Over-dried: it stood constant once and lost more since. As its formula: by what
 * the sheet expects. Wetter: more than all
 * of the limiting reagent comes to. Null for what has no crystal water, before the mass is constant, and for anything that
 * could be: a better crop than expected is not wet, and a worse one may have been lost on the way.
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
  const { theory, product } = sheet;
  if (!weighing.constant || !product || product.value <= 0) return null;
  const by = (all: Figure) =>
    hydrateBy(solid.formula, weighing.grams ?? 0, all.value / M, weighingSd(balanceG), sdOf(all) / M);
  const asExpected = by(product);
  if (asExpected?.says === 'as its formula') return asExpected;
  const most = theory && theory.value > 0 ? by(theory) : undefined;
  return most?.says === 'wetter' ? most : null;
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
  const titrated = lastRead(live, step?.id ?? '', 'strength');
  const isMeasured = plan.tables >= AS_IT_REALLY_IS ? sheet.figures['made.measured'] : titrated;
  if (isMeasured && sheet.made) return byStrength(sheet.made, solid);
  if (plan.tables >= AS_IT_REALLY_IS) return null;
  const read = lastRead(live, step?.id ?? '', 'density');
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
    { V: sheet.made.volume, ρ: rho, w: w.value },
    (x) => (x.V * x.ρ * x.w) / 100,
  );
}

/** A hydrometer or a weighed volume reads to about this, g/mL. */
const DENSITY_SD = 0.002;

/** g of what is dissolved, by the strength that titrating found and the volume it was filled to. */
function byStrength({ strength, volume }: NonNullable<Sheet['made']>, { formula, name }: Substance): Figure {
  return derive(
    { symbol: 'm', name: `${name} in it, by its strength`, unit: 'g' },
    'c × V × M ÷ 1000',
    { c: strength, V: volume, M: molarMassFigure(formula) },
    (x) => (x.c * x.V * x.M) / 1000,
  );
}

function lastRead(live: Live, step: string, quantity: Quantity): Reading | undefined {
  const read = live.findLast(({ body }) => body.kind === 'read' && body.quantity === quantity && body.step === step);
  return read?.body.kind === 'read' ? read.body.reading : undefined;
}

/** Mass % of what went in, from its own working. */
function strengthPct(line: AdditionLine): number | undefined {
  const { origin } = line.amount;
  return origin.by === 'formula' ? origin.inputs.w?.value : undefined;
}
