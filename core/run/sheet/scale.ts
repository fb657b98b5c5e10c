import { derive, type Figure, given } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { formatPlain } from '#base/units';
import { densityFigure } from '#matter/solution';
import type { Content } from '#matter/stock';
import { molarMassFigure } from '#matter/substance';
import { liveOf } from '#run/log';
import { type PlanFacts, plannedOrder } from '#run/plan';
import {
  extentOf,
  extentRoles,
  type Recipe,
  type Standing,
  solidMade,
  speciesMade,
  wantedFigure,
} from '#run/technique';
import { entriesOf } from './entries.ts';
import { walk } from './walk.ts';

const KNOWN = new WeakMap<PlanFacts, Result<Figure>>();

/** mol of extent that the target needs: through the strength, or the yield this plan would have. Found once a plan. */
export function wantedExtent(facts: PlanFacts): Result<Figure> {
  const known = KNOWN.get(facts);
  if (known) return known;
  const found = findExtent(facts);
  KNOWN.set(facts, found);
  return found;
}

function findExtent(facts: PlanFacts): Result<Figure> {
  const { amount, fromRole } = facts.plan.target;
  const naming = { symbol: 'ξ', name: 'extent wanted', unit: 'mol' };
  const asked = given(
    { symbol: amount.unit === 'g' ? 'm' : 'V', name: 'asked for', unit: amount.unit },
    amount.value,
    'your target',
  );
  if (fromRole !== null) return extentFromReagent(facts, asked);
  if (facts.recipe.makes.kind === 'liquid') return extentForLiquid(facts, asked);
  const made = solidMade(facts);
  if (!made) {
    const { substance } = facts.target;
    const M = molarMassFigure(substance.formula);
    const w = wantedFigure(facts);
    if (amount.unit === 'g')
      return ok(derive(naming, 'm × w ÷ (100 × M)', { m: asked, w, M }, (x) => (x.m * x.w) / 100 / x.M));
    const c = molesPerLitre(facts);
    return c.ok
      ? ok(
          derive(
            { ...naming, symbol: 'n', name: 'amount wanted' },
            'c × V ÷ 1000',
            { c: c.value, V: asked },
            (x) => (x.c * x.V) / 1000,
          ),
        )
      : c;
  }
  if (amount.unit === 'mL') {
    return fail('unit-does-not-fit', 'A solid is asked for by mass; write the amount in grams.', {
      field: 'target.amount',
    });
  }
  const nu = productPerExtent(facts.recipe);
  const M0 = molarMassFigure(made.solid.formula).value;
  const found = isAsLargeAsItIs(facts) ? trialByRounds(facts, amount.value, M0) : trialFor(facts, amount.value, M0);
  if (!found.ok) return found;
  const trial = found.value;
  const tried = tryOut(facts, trial);
  if (!tried) return nothingComes(facts);
  if (!tried.ok) return tried;
  const { product, extent } = tried.value;
  const M = molarMassFigure(made.solid.formula);
  const share = (100 * product.value) / (extent.value * nu * M.value);
  const Y = given(
    { symbol: 'Y', name: 'expected yield', unit: '%' },
    share,
    'this sheet; its own working stands under the product',
  );
  // Scaled by the extent asked for in doses, which an excess of one reagent does not change.
  const scale = extent.value / trial.value;
  const formula = nu === 1 ? '100 × m ÷ (Y × M)' : `100 × m ÷ (Y × ${nu} × M)`;
  if (Math.abs(scale - 1) < 1e-9)
    return ok(derive(naming, formula, { m: asked, Y, M }, (x) => (100 * x.m) / (x.Y * nu * x.M)));
  const s = given(
    { symbol: 's', name: 'extent of the last reaction for one of the doses', unit: '' },
    scale,
    'the reactions',
  );
  return ok(derive(naming, `${formula} ÷ s`, { m: asked, Y, M, s }, (x) => (100 * x.m) / (x.Y * nu * x.M) / x.s));
}

/** Rounds that bring a liquid to what was asked for: hold-up and losses do not grow with the charge. */
const ROUNDS = 3;
/** Farther from what was asked for than twofold, after them, nothing but a film is kept between the cuts. */
const FAR_OFF = Math.log(2);

/** mol to charge for so much of the liquid that a recipe makes, by what the plan comes to. */
function extentForLiquid(facts: PlanFacts, asked: Figure): Result<Figure> {
  const naming = { symbol: 'ξ', name: 'extent wanted', unit: 'mol' };
  const name = asked.unit === 'mL' ? 'product.volume' : 'product.all';
  let mol = asked.value / 20;
  let share = 0;
  let off = 0;
  let before: { readonly mol: number; readonly came: number } | undefined;
  for (let i = 0; i < ROUNDS; i++) {
    const tried = tryOut(facts, given(naming, mol, 'trial'));
    if (tried && !tried.ok) return tried;
    const came = tried?.value.figures[name]?.value ?? 0;
    if (!(came > 0)) return nothingKept();
    share = came / mol;
    off = Math.abs(Math.log(came / asked.value));
    // In proportion at first, then along the straight line through the last two.
    const slope = before && before.mol !== mol ? (came - before.came) / (mol - before.mol) : share;
    before = { mol, came };
    const next = mol + (asked.value - came) / (slope > 0 ? slope : share);
    mol = next > 0 ? next : asked.value / share;
    share = asked.value / mol;
  }
  if (off > FAR_OFF) return nothingKept();
  const q = given(
    { symbol: 'q', name: 'that comes of a mol charged', unit: `${asked.unit}/mol` },
    share,
    'this sheet, tried out',
  );
  return ok(derive(naming, 'a ÷ q', { a: { ...asked, symbol: 'a' }, q }, (x) => x.a / x.q));
}

function nothingKept(): Result<never> {
  const sentence = 'At these cuts nothing reaches the receiver that is kept: let more go over.';
  return fail('out-of-range', sentence, { field: 'controls' });
}

/** The first trial is this many times what paper and vessel keep larger than what is asked for. */
const AMPLE = 10;

/**
 * mol at which the yield is found. Without what paper and vessel keep of any batch it is the same at any size; with it the
 * product goes as a straight line that does not begin at nothing, which two trials give.
 */
function trialFor(facts: PlanFacts, amountG: number, M: number): Result<Figure> {
  const at = (mol: number) => given({ symbol: 'ξ', name: 'extent wanted', unit: 'mol' }, mol, 'trial');
  const holdG = facts.recipe.handling?.holdG ?? 0;
  if (holdG === 0) return ok(at(amountG / M));
  const one = (amountG + AMPLE * holdG) / M;
  const [less, more] = [tryOut(facts, at(one)), tryOut(facts, at(2 * one))];
  if (less && !less.ok) return less;
  if (more && !more.ok) return more;
  if (!less || !more) return nothingComes(facts);
  const slope = (more.value.product.value - less.value.product.value) / one;
  if (!(slope > 0)) return nothingComes(facts);
  return ok(at((amountG + slope * one - less.value.product.value) / slope));
}

/** A cell stays as large as it is: twice the batch runs longer, and loses, clogs and dries more. */
function isAsLargeAsItIs({ steps }: PlanFacts): boolean {
  return steps.some(({ op }) => op.do === 'electrolyse');
}

/** Rounds in which a plan whose yield changes with its size has to come to what is asked for, and how near. */
const SIZE_ROUNDS = 12;
const NEAR = 0.005;

/** mol at which a plan whose yield changes with its size comes to so many grams, by false position between too little and too much. */
function trialByRounds(facts: PlanFacts, amountG: number, M: number): Result<Figure> {
  const at = (mol: number) => given({ symbol: 'ξ', name: 'extent wanted', unit: 'mol' }, mol, 'trial');
  let low = { mol: 0, came: 0 };
  let high: typeof low | undefined;
  let mol = amountG / M;
  for (let i = 0; i < SIZE_ROUNDS; i++) {
    const tried = tryOut(facts, at(mol));
    if (tried && !tried.ok) return tried;
    const came = tried?.value.product.value ?? 0;
    if (Math.abs(came - amountG) <= NEAR * amountG) return ok(at(mol));
    if (came > amountG) high = { mol, came };
    else low = { mol, came };
    mol = high ? between(low, high, amountG) : mol * Math.min(4, came > 0 ? (1.05 * amountG) / came : 4);
  }
  return low.came > 0 || high
    ? fail(
        'out-of-range',
        `At these settings the cell does not come to ${formatPlain(amountG)} g: it dries, clogs or runs short first. Set another current or a larger pot, or make less.`,
        { field: 'controls' },
      )
    : nothingComes(facts);
}

/** Where a straight line between two trials meets what is asked for, kept off both ends. */
function between(low: { mol: number; came: number }, high: { mol: number; came: number }, wanted: number): number {
  const share = (wanted - low.came) / (high.came - low.came || 1);
  return low.mol + (high.mol - low.mol) * Math.min(0.9, Math.max(0.1, share));
}

/** What a plan comes to at an extent: g of product, and the extent of the last reaction; undefined where nothing comes. */
function tryOut(
  facts: PlanFacts,
  wanted: Figure,
): Result<{ readonly product: Figure; readonly extent: Figure; readonly figures: Standing['figures'] }> | undefined {
  const gone = walk(facts, { steps: plannedOrder(facts.steps), wanted, entries: entriesOf(liveOf([])), exact: true });
  if (!gone.ok) return gone;
  const { figures, progress } = gone.value.end;
  const product = figures['product.mass'];
  const { extent } = progress;
  return product && extent && product.value > 0 ? ok({ product, extent, figures }) : undefined;
}

/** Says which control, moved to which end, would bring something out. */
function nothingComes(facts: PlanFacts): Result<never> {
  const wanted = given({ symbol: 'ξ', name: 'extent wanted', unit: 'mol' }, 1, 'trial');
  for (const { id, name, unit, min, max } of facts.recipe.controls)
    for (const end of [min, max]) {
      const tried = tryOut({ ...facts, settings: { ...facts.settings, [id]: end } }, wanted);
      if (tried?.ok)
        return fail(
          'out-of-range',
          `At these settings nothing crystallises: all of it stays dissolved. Move “${name}” towards ${formatPlain(end)} ${unit}, and it will.`,
          { field: `controls.${id}` },
        );
    }
  return fail('out-of-range', 'At these settings nothing crystallises, and no single control would change that.', {
    field: 'controls',
  });
}

function molesPerLitre(facts: PlanFacts): Result<Figure> {
  const { strength } = facts.plan.target;
  const naming = { symbol: 'c', name: 'strength wanted', unit: 'mol/L' };
  if (strength?.unit === 'mol/L') return ok(given(naming, strength.value, 'your target'));
  const { substance } = facts.target;
  const w = wantedFigure(facts);
  const rho = densityFigure(substance, w, facts.bench.tempC);
  if (!rho.ok) return rho;
  const M = molarMassFigure(substance.formula);
  return ok(derive(naming, '10 × ρ × w ÷ M', { ρ: rho.value, w, M }, (x) => (10 * x.ρ * x.w) / x.M));
}

/** mol of the product for each extent of the reactions that make it. */
export function productPerExtent(recipe: Recipe): number {
  const id = speciesMade({ recipe });
  return recipe.reactions.flatMap((each) => each.products).find((each) => each.substanceId === id)?.n ?? 1;
}

function extentFromReagent(facts: PlanFacts, asked: Figure): Result<Figure> {
  const role = extentRoles(facts.recipe).find((each) => each.id === facts.plan.target.fromRole);
  const content = role && facts.contents[role.id];
  if (!role || !content)
    return fail('no-route', 'The amount counts a reagent that this route does not use.', { field: 'target.fromRole' });
  const mass = reagentMass(asked, content);
  if (!mass)
    return fail('unit-does-not-fit', `${facts.names[role.id]} is counted in grams here.`, { field: 'target.amount' });
  const M = molarMassFigure(content.substance.formula);
  const n = derive(
    { symbol: 'n', name: `${role.name} to use`, unit: 'mol' },
    'm × w ÷ (100 × M)',
    { m: mass, w: content.w, M },
    (x) => (x.m * x.w) / (100 * x.M),
  );
  return ok(extentOf(role, facts, n));
}

function reagentMass(asked: Figure, content: Content): Figure | undefined {
  if (asked.unit === 'g') return asked;
  return (
    content.density &&
    derive({ symbol: 'm', name: 'as mass', unit: 'g' }, 'V × ρ', { V: asked, ρ: content.density }, (x) => x.V * x.ρ)
  );
}
