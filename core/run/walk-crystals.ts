import { coldFigure, crystallise } from '#core/dish';
import { datum, derive, type Figure, relabel } from '#core/figure';
import { ok, type Result } from '#core/problem';
import { hydrateWater, molarMassFigure, type Substance, substanceById } from '#core/substance';
import { type Contents, emptyContents, liquidVolume, total, UNDISSOLVED_ML_PER_G } from '#core/vessel';
import { type Context, controlFigure } from './context.ts';
import type { Walker } from './walker.ts';

/** g of the anhydrous product in solution. */
function dissolvedProduct(walker: Walker): Figure | undefined {
  const { context, so } = walker;
  if (context.route.makes.kind !== 'crystals') return undefined;
  const { anhydrousId } = context.route.makes;
  const n = so.contents.amounts[anhydrousId];
  const anhydrous = substanceById(anhydrousId)!;
  const M = molarMassFigure(anhydrous.formula);
  return (
    n && derive({ symbol: 'A', name: `${anhydrous.name} dissolved`, unit: 'g' }, 'n × M', { n, M }, (x) => x.n * x.M)
  );
}

export function boilStep(walker: Walker, controlId: string): void {
  const { context, so } = walker;
  const A = dissolvedProduct(walker);
  if (!A) return;
  const set = controlFigure(context, controlId);
  const before = so.contents.waterG;
  const left = derive(
    { symbol: 'W', name: 'water left after boiling down', unit: 'g' },
    'min(W₀; 100 × A ÷ set)',
    { 'W₀': before, A, set },
    (x) => Math.min(x['W₀'], (100 * x.A) / x.set),
  );
  const awayG = derive(
    { symbol: 'away', name: 'water to boil away', unit: 'g' },
    'W₀ − W',
    { 'W₀': before, W: left },
    (x) => x['W₀'] - x.W,
  );
  so.contents = { ...so.contents, waterG: left };
  so.boil = { volumeMl: liquidVolume(so.contents), awayG };
}

export function evaporateStep(walker: Walker, controlId: string): void {
  const { context, so } = walker;
  const set = controlFigure(context, controlId);
  // The water at this end is read off a dish by eye: 5 % is as near as that goes.
  const eye = {
    ...set,
    uncertainty: { dish: { name: 'how far the dish has evaporated', effect: set.value >= 100 ? 0 : 2.5 } },
  };
  const waterG = derive(
    { symbol: 'W', name: 'water left in the dish', unit: 'g' },
    'W₀ × set ÷ 100',
    { 'W₀': so.contents.waterG, set: eye },
    (x) => (x['W₀'] * x.set) / 100,
  );
  so.contents = { ...so.contents, waterG };
  so.dishMl = liquidVolume(so.contents);
}

export function crystalStep(walker: Walker, controlId: string): Result<true> {
  const { context, so } = walker;
  const A = dissolvedProduct(walker);
  if (!A || context.route.makes.kind !== 'crystals') return ok(true);
  const anhydrous = substanceById(context.route.makes.anhydrousId)!;
  const solid = substanceById(context.route.makes.substanceId)!;
  const cold = coldFigure(context.plan.controls[controlId] ?? 5);
  const grown = crystallise(anhydrous, solid, { dissolved: A, water: so.contents.waterG }, cold);
  if (!grown.ok) return grown;
  so.crystals = grown.value.crystals;
  so.solubility = grown.value.solubility;
  so.liquorMl = Math.max(0, liquidVolume(so.contents) - grown.value.crystals.value * 0.55);
  return ok(true);
}

/** What an insoluble product has come to. */
export function precipitateStep({ context, so }: Walker): void {
  if (context.route.makes.kind !== 'crystals') return;
  const solid = substanceById(context.route.makes.substanceId)!;
  const n = so.contents.amounts[solid.id];
  if (!n) return;
  const M = molarMassFigure(solid.formula);
  const naming = { symbol: 'm(solid)', name: `${solid.name}, about`, unit: 'g' };
  so.crystals = derive(naming, 'n × M', { n, M }, (x) => x.n * x.M, {
    source: 'as its usual formula; basic carbonates vary by several percent',
    grade: 'C',
  });
  so.liquorMl = Math.max(0, liquidVolume(so.contents) - so.crystals.value * UNDISSOLVED_ML_PER_G);
}

/** Pours the liquor off what was caught: the liquor is set aside, the vessel holds the solid. */
function setLiquorApart({ context, so }: Walker): void {
  if (context.route.makes.kind !== 'crystals' || !so.crystals) return;
  const { substanceId, anhydrousId } = context.route.makes;
  const solid = substanceById(substanceId)!;
  const M = molarMassFigure(solid.formula);
  const caught = derive(
    { symbol: 'n', name: `${solid.name} caught`, unit: 'mol' },
    'm ÷ M',
    { m: so.crystals, M },
    (x) => x.m / x.M,
  );
  const dissolved = so.contents.amounts[anhydrousId];
  const left =
    dissolved &&
    derive(
      { symbol: 'n', name: `${solid.name} in the liquor`, unit: 'mol' },
      'max(0; n − c)',
      { n: dissolved, c: caught },
      (x) => Math.max(0, x.n - x.c),
    );
  const taken = crystalWater(caught, solid, 'crystal water that left the liquor');
  const waterG = derive(
    { symbol: 'm(water)', name: 'water left in the liquor', unit: 'g' },
    'max(0; W − c)',
    { W: so.contents.waterG, c: taken },
    (x) => Math.max(0, x.W - x.c),
  );
  const liquor = {
    ...so.contents,
    waterG: taken.value > 0 ? waterG : so.contents.waterG,
    amounts: { ...so.contents.amounts, ...(left ? { [anhydrousId]: left } : {}) },
  };
  so.liquor = so.liquor ? together(so.liquor, liquor) : liquor;
  so.contents = { ...emptyContents, amounts: { [substanceId]: caught } };
}

export function collectStep(walker: Walker): void {
  const { context, so } = walker;
  const { handling } = context.route;
  if (!so.crystals || !handling) return;
  setLiquorApart(walker);
  const loss = datum(
    { symbol: 'loss', name: 'left in paper, vessel and rinse', unit: '%' },
    { value: handling.lossPct, uncertainty: { handling: { name: 'losses in filtering', effect: handling.sdPct } } },
    { source: 'estimate for a careful hand, to be replaced by your own weighings', grade: 'C' },
  );
  so.product = derive(
    { symbol: 'm(product)', name: productName(context), unit: 'g' },
    'm × (100 − loss) ÷ 100',
    { m: so.crystals, loss },
    (x) => (x.m * (100 - x.loss)) / 100,
  );
}

/** g of water that so many mol of a crystal hold. */
function crystalWater(n: Figure, solid: Substance, name: string): Figure {
  const h = datum({ symbol: 'h', name: 'water in the crystal', unit: 'mol/mol' }, hydrateWater(solid.formula), {
    source: 'its formula',
    grade: 'A',
  });
  const Mw = molarMassFigure('H2O');
  return derive({ symbol: 'm(water)', name, unit: 'g' }, 'n × h × Mw', { n, h, Mw }, (x) => x.n * x.h * x.Mw);
}

/** Two liquors poured together. */
function together(a: Contents, b: Contents): Contents {
  const amounts = { ...a.amounts };
  for (const [id, n] of Object.entries(b.amounts)) {
    const had = amounts[id];
    amounts[id] = had ? total(n.name, 'mol', had, n) : n;
  }
  return {
    amounts,
    waterG: total('water', 'g', a.waterG, b.waterG),
    inertG: total('inert matter', 'g', a.inertG, b.inertG),
  };
}

/** Dried to constant mass: as it is, or down to the water that it is to keep. */
export function dryStep({ context, so }: Walker, waterControl: string | undefined): void {
  const naming = { name: `${productName(context)}, dry`, symbol: 'm(dry)' };
  if (!so.product) return;
  so.product =
    waterControl === undefined
      ? relabel(so.product, naming)
      : derive(
          { ...naming, unit: 'g' },
          '100 × m ÷ (100 − set)',
          { m: so.product, set: controlFigure(context, waterControl) },
          (x) => (100 * x.m) / (100 - x.set),
        );
}

/** What was caught goes back into the vessel's water: the solid less what stuck in paper and vessel. */
export function redissolveStep({ context, so }: Walker): void {
  const { makes } = context.route;
  if (makes.kind !== 'crystals' || !so.product || so.product.value <= 0) return;
  const solid = substanceById(makes.substanceId)!;
  const M = molarMassFigure(solid.formula);
  const naming = { symbol: 'n', name: `${solid.name} redissolved`, unit: 'mol' };
  const n = derive(naming, 'm ÷ M', { m: so.product, M }, (x) => x.m / x.M);
  const waterG = crystalWater(n, solid, 'crystal water set free');
  const others = Object.fromEntries(Object.entries(so.contents.amounts).filter(([id]) => id !== makes.substanceId));
  so.contents = {
    ...so.contents,
    amounts: { ...others, [makes.anhydrousId]: n },
    waterG: waterG.value > 0 ? total('water', 'g', so.contents.waterG, waterG) : so.contents.waterG,
  };
  so.crystals = undefined;
  so.product = undefined;
}

export function productName(context: Context): string {
  const { makes } = context.route;
  return makes.kind === 'crystals' ? (substanceById(makes.substanceId)?.name ?? makes.substanceId) : 'solution';
}
