import { dryFormula, solubilityFigure } from '#core/dish';
import { derive, type Figure, given } from '#core/figure';
import type { DoseRule, Op } from '#core/route';
import { type Content, contentOf } from '#core/stock';
import { molarMassFigure, substanceById } from '#core/substance';
import { charge, emptyContents, total } from '#core/vessel';
import { type ActualCharge, type Actuals, chargeMass } from './actual.ts';
import { type Context, controlFigure, roleOf } from './context.ts';
import { type Dose, doseForExtent, extentOf, extentRoles, measured } from './dose.ts';
import { exactReading } from './event.ts';
import { dilutionHeat } from './walk-heat.ts';
import { reactAgain, reactStep } from './walk-react.ts';
import { finalMass } from './walk-solution.ts';
import type { Walker } from './walker.ts';

/** Puts a role in: what was weighed, or what is planned; then what reacts as it goes in. */
export function chargeStep(walker: Walker, step: string, op: Extract<Op, { do: 'charge' }>): void {
  const { context, actuals, so } = walker;
  const { plan } = context;
  const { role: roleId } = op;
  const role = roleOf(context, roleId);
  const content = context.contents[roleId];
  const name = context.names[roleId] ?? role.name;
  const dose = measured(role, plannedMass(walker, roleId), content ? content.density : context.water, plan.bench);
  const inputs = actuals.charges.filter((each) => each.step === step && each.role === roleId);
  const weighed = inputs.flatMap((each) => chargeMass(each.reading, name, content, context.water, plan.bench) ?? []);
  const actual = weighed.length > 0 ? total(`${name}, in all`, 'g', ...weighed) : nothingIn(walker, step, name);
  // An addition that is still going on is reckoned to its dose.
  const goesOn =
    op.reacts !== undefined && !walker.soFar && !actuals.finished.has(step) && (actual?.value ?? 0) < dose.mass.value;
  const mass = actual && !goesOn ? actual : plannedCharge(walker, dose, name, content);
  const before = so.contents;
  const charged = charge(before, asProduct(context, roleId, name), mass);
  so.contents = charged.contents;
  so.charges = [
    ...so.charges,
    {
      step,
      role: roleId,
      roleName: role.name,
      // Water comes from no bottle, whatever a plan says.
      bottleId: content ? (plan.bottles[roleId] ?? null) : null,
      name,
      dose,
      actual: weighed.length > 0 || actuals.skipped.has(step) ? actual : undefined,
      amount: charged.amount,
      waterBrought: charged.waterBrought,
      limiting: false,
    },
  ];
  if (context.route.reactions.length === 0 && role.dose.by === 'extent') {
    so.extent = charged.amount;
    so.limiting = content && (content.substance.species);
  }
  const heat = content && dilutionHeat(context, step, roleId, charged.amount, before.waterG.value, so.contents);
  if (heat) so.heats = [...so.heats, heat];
  for (const reaction of op.reacts ?? []) reactStep(walker, step, reaction);
}

/** A charge step that was skipped put nothing in; nor, so far, has one that is only planned. */
function nothingIn({ actuals, soFar }: Walker, step: string, name: string): Figure | undefined {
  if (actuals.skipped.has(step)) return given({ symbol: 'm', name, unit: 'g' }, 0, 'skipped');
  if (soFar && !actuals.finished.has(step)) return given({ symbol: 'm', name, unit: 'g' }, 0, 'not yet in');
  return undefined;
}

function plannedCharge(walker: Walker, dose: Dose, name: string, content: Content | undefined): Figure {
  if (walker.exact) return dose.mass;
  const reading = exactReading(dose.take.value, dose.take.unit);
  return chargeMass(reading, name, content, walker.context.water, walker.context.plan.bench, true) ?? dose.mass;
}

function asProduct(context: Context, roleId: string, name: string) {
  const content = context.contents[roleId];
  return content ? productOf(content, name) : water();
}

function productOf({ substance, w, dissolved, wet }: Content, name: string) {
  return { substance, w, dissolved, wet, name };
}

function water() {
  const pure = given({ symbol: 'w', name: 'water', unit: '%' }, 100, 'water');
  return { substance: substanceById('water')!, w: pure, dissolved: true, name: 'water' };
}

/** What the charges so far are enough for, each role by itself, first charged first. */
export function chargedExtents(context: Context, actuals: Actuals): ReadonlyMap<string, Figure> {
  const extents = new Map<string, Figure>();
  const roles = extentRoles(context.route);
  for (const id of new Set(actuals.charges.map((each) => each.role))) {
    const role = roles.find((each) => each.id === id);
    if (!role) continue;
    const content = context.contents[role.id]!;
    const name = context.names[role.id] ?? role.name;
    const masses = actuals.charges
      .filter((each) => each.role === role.id)
      .flatMap((each) => chargeMass(each.reading, name, content, context.water, context.plan.bench) ?? []);
    if (masses.length === 0) continue;
    const { amount } = charge(emptyContents, asProduct(context, role.id, name), total(name, 'g', ...masses));
    extents.set(role.id, extentOf(role, context.plan, amount));
  }
  return extents;
}

/**
 * The extent a role is dosed for: the least that the roles charged before it allow, or the target while none is in or
 * the batch was enlarged since. What went in later does not change what a step asked for when it was done.
 */
function extentFor(walker: Walker, roleId: string | null): Figure {
  if (walker.actuals.enlarged) return walker.wanted;
  let least: Figure | undefined;
  for (const [id, extent] of walker.charged) {
    if (id === roleId) break;
    if (!least || extent.value < least.value) least = extent;
  }
  return least ?? walker.wanted;
}

/** Planned mass of a role: by extent, by what is in the vessel, or water by what it dilutes. */
function plannedMass(walker: Walker, roleId: string): Figure {
  const { context, so } = walker;
  const role = roleOf(context, roleId);
  const { dose } = role;
  const content = context.contents[roleId];
  const naming = { symbol: 'm', name: `${role.name} to take`, unit: 'g' };
  if (dose.by === 'extent') return doseForExtent(role, context.plan, content!, extentFor(walker, roleId));
  if (dose.by === 'contents') {
    const n = neededFor(walker, roleId, dose.reactions, dose.overControl);
    const M = molarMassFigure(content!.substance.formula);
    return derive(naming, '100 × n × M ÷ w', { n, M, w: content!.w }, (x) => (100 * x.n * x.M) / x.w);
  }
  if (dose.by === 'per-gram') {
    const line = so.charges.find((each) => each.role === dose.role);
    const mass = line ? (line.actual ?? line.dose.mass) : plannedMass(walker, dose.role);
    const set = controlFigure(context, dose.control);
    return derive(naming, 'm₀ × set ÷ 100', { 'm₀': mass, set }, (x) => (x['m₀'] * x.set) / 100);
  }
  if (dose.by === 'to-dissolve') return waterToDissolve(walker, roleId, dose);
  if (dose.by === 'dilute-to') {
    const acid = so.charges.find((line) => line.role === dose.role);
    const acidMass = acid ? (acid.actual ?? acid.dose.mass) : plannedMass(walker, dose.role);
    const to = controlFigure(context, dose.control);
    const w = context.contents[dose.role]!.w;
    return derive(naming, 'm₀ × (w − set) ÷ set', { 'm₀': acidMass, w, set: to }, (x) =>
      Math.max(0, (x['m₀'] * (x.w - x.set)) / x.set),
    );
  }
  const share = controlFigure(context, dose.control);
  const acidRole = context.route.makes.kind === 'solution' ? context.route.makes.role : '';
  const acidMass = plannedMass(walker, acidRole);
  const whole = finalMass(context, extentFor(walker, null));
  return derive(
    naming,
    'max(0; m₁ − m₀) × set ÷ 100',
    { 'm₁': whole, 'm₀': acidMass, set: share },
    (x) => (Math.max(0, x['m₁'] - x['m₀']) * x.set) / 100,
  );
}

/** g of water that dissolves what a role brought, at its hot temperature, with some to spare. */
function waterToDissolve(
  { context, so }: Walker,
  roleId: string,
  dose: Extract<DoseRule, { by: 'to-dissolve' }>,
): Figure {
  const naming = { symbol: 'm', name: `${roleOf(context, roleId).name} to take`, unit: 'g' };
  const { substance } = context.contents[dose.role]!;
  const dry = substanceById(substance.species)!;
  const n = so.contents.amounts[dry.id];
  const hot = controlFigure(context, dose.control);
  const set = controlFigure(context, dose.spare);
  if (!n) return given(naming, 0, 'nothing to dissolve yet');
  const M = molarMassFigure(dryFormula(dry.formula));
  const s = solubilityFigure(dry, hot);
  return derive(naming, 'max(0; n × M × (100 + set) ÷ s − W)', { n, M, s, set, W: so.contents.waterG }, (x) =>
    Math.max(0, (x.n * x.M * (100 + x.set)) / x.s - x.W),
  );
}

/** mol of a role's substance for its reactions to go to their end with what is in the vessel now. */
function neededFor(walker: Walker, roleId: string, reactionIds: readonly string[], overControl?: string): Figure {
  const { context, so } = walker;
  const content = context.contents[roleId]!;
  const own = content.substance.species;
  const inputs: Record<string, Figure> = {};
  const terms: string[] = [];
  const factors: number[] = [];
  for (const id of reactionIds) {
    const reaction = context.route.reactions.find((each) => each.id === id)!;
    const takes = reaction.reactants.find((each) => each.substanceId === own);
    const other = reaction.reactants.find((each) => each.substanceId !== own && each.substanceId !== 'water');
    const present = other && so.contents.amounts[other.substanceId];
    if (!takes || !other || !present || present.value <= 0) continue;
    const symbol = `n${'₁₂₃₄'[terms.length]}`;
    inputs[symbol] = present;
    factors.push(takes.n / other.n);
    terms.push(takes.n === other.n ? symbol : `${takes.n} × ${symbol} ÷ ${other.n}`);
  }
  const naming = { symbol: 'n', name: `${roleOf(context, roleId).name} wanted by what is in the vessel`, unit: 'mol' };
  if (terms.length === 0) return given(naming, 0, 'nothing in the vessel takes it');
  const sum = (values: Readonly<Record<string, number>>) =>
    factors.reduce((all, factor, i) => all + factor * values[`n${'₁₂₃₄'[i]}`]!, 0);
  const over = overControl ? controlFigure(context, overControl) : undefined;
  if (!over || over.value === 0) return derive(naming, terms.join(' + '), inputs, sum);
  return derive(
    naming,
    `(${terms.join(' + ')}) × (100 + set) ÷ 100`,
    { ...inputs, set: over },
    (x) => (sum(x) * (100 + x.set!)) / 100,
  );
}

/** What went in besides the step's own role: from any bottle, in the order it went in. Then what can react does. */
export function addUnplanned(walker: Walker, step: string, ownRole: string | null): void {
  const { context, actuals, so } = walker;
  for (const each of actuals.charges) {
    if (each.step !== step || (each.role !== null && each.role === ownRole)) continue;
    const content = contentFor(context, each);
    const name = each.stock?.card.name ?? (each.role ? (context.names[each.role] ?? each.role) : nameOf(context, each));
    // A bottle whose strength cannot be is not counted as water.
    if (each.bottleId !== null && !content) continue;
    const mass = chargeMass(each.reading, name, content, context.water, context.plan.bench);
    if (!mass) continue;
    so.contents = charge(so.contents, content ? productOf(content, name) : water(), mass).contents;
    reactAgain(walker, step);
  }
}

/** The bottle's content for an addition: of its role, of the bottle as it stood when it was added, or none: water. */
function contentFor(context: Context, { role, bottleId, stock }: ActualCharge): Content | undefined {
  const { plan, contents } = context;
  if (role !== null && contents[role]) return contents[role];
  if (stock && bottleId !== null) {
    const content = contentOf(bottleId, stock.card, stock.usedG, plan.bench.tempC, plan.day);
    return content.ok ? content.value : undefined;
  }
  const planned = roleOfBottle(context, bottleId);
  return planned ? contents[planned] : undefined;
}

function nameOf(context: Context, { bottleId }: ActualCharge): string {
  const role = roleOfBottle(context, bottleId);
  return role ? (context.names[role] ?? role) : 'water';
}

function roleOfBottle({ plan }: Context, bottleId: string | null): string | undefined {
  return bottleId === null ? undefined : Object.entries(plan.bottles).find(([, id]) => id === bottleId)?.[0];
}
