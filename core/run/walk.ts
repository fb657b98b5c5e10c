import { derive, type Figure, given, relabel } from '#core/figure';
import { ok, type Result } from '#core/problem';
import { molarMass, substanceById } from '#core/substance';
import { charge, emptyContents, liquidVolume, react, total } from '#core/vessel';
import { type Actuals, chargeMass } from './actual.ts';
import { type Context, controlFigure, roleOf } from './context.ts';
import { type Dose, doseForExtent, extentOf, extentRoles, measured } from './dose.ts';
import { exactReading, readingValue } from './event.ts';
import { boilStep, collectStep, crystalStep, evaporateStep, productName } from './walk-crystals.ts';
import { dilutionHeat, heatOfReaction } from './walk-heat.ts';
import { finalMass, makeUpStep } from './walk-solution.ts';
import type { ChargeLine, Mutable, Walk, Walker } from './walker.ts';

/** Walks the route's steps with planned doses, or what really went in where that is known. */
export function walk(context: Context, extent: Figure, actuals: Actuals, exact = false): Result<Walk> {
  const so: Mutable<Walk> = {
    contents: emptyContents,
    charges: [],
    heats: [],
    gas: undefined,
    extent: undefined,
    limiting: undefined,
    boil: undefined,
    dishMl: undefined,
    crystals: undefined,
    solubility: undefined,
    liquorMl: undefined,
    product: undefined,
    made: undefined,
    peakMl: 0,
    reactMl: 0,
  };
  const walker: Walker = { context, actuals, wanted: extent, charged: chargedExtents(context, actuals), exact, so };
  for (const step of context.route.steps) {
    const { op } = step;
    switch (op.do) {
      case 'charge':
        chargeStep(walker, step.id, op.role);
        break;
      case 'react':
        if (!actuals.skipped.has(step.id)) reactStep(walker, step.id, op.reaction);
        break;
      case 'boil-down':
        if (!actuals.skipped.has(step.id)) boilStep(walker, op.control);
        break;
      case 'evaporate':
        if (!actuals.skipped.has(step.id)) evaporateStep(walker, op.control);
        break;
      case 'crystallise': {
        const grown = crystalStep(walker, op.control);
        if (!grown.ok) return grown;
        break;
      }
      case 'collect':
        collectStep(walker);
        break;
      case 'dry':
        so.product = so.product && relabel(so.product, { name: `${productName(context)}, dry`, symbol: 'm(dry)' });
        break;
      case 'make-up': {
        const made = makeUpStep(walker, step.id);
        if (!made.ok) return made;
        break;
      }
      case 'nothing':
        break;
    }
    addUnplanned(walker, step.id);
    withdraw(walker, step.id);
    so.peakMl = Math.max(so.peakMl, liquidVolume(so.contents));
  }
  so.charges = markLimiting(context, so.charges, so.limiting);
  return ok(so);
}

function chargeStep(walker: Walker, step: string, roleId: string): void {
  const { context, actuals, so } = walker;
  const { plan } = context;
  const role = roleOf(context, roleId);
  const content = context.contents[roleId];
  const name = context.names[roleId] ?? role.name;
  const dose = measured(role, plannedMass(walker, roleId), content ? content.density : context.water, plan.bench);
  const inputs = actuals.charges.filter((each) => each.step === step && each.role === roleId);
  const weighed = inputs.flatMap((each) => chargeMass(each.reading, name, content, context.water, plan.bench) ?? []);
  const actual = weighed.length > 0 ? total(`${name}, in all`, 'g', ...weighed) : skippedMass(walker, step, name);
  const mass = actual ?? plannedCharge(walker, dose, name, content);
  const before = so.contents;
  const charged = charge(before, asProduct(context, roleId, name), mass);
  so.contents = charged.contents;
  so.charges = [
    ...so.charges,
    {
      step,
      role: roleId,
      roleName: role.name,
      bottleId: plan.bottles[roleId] ?? null,
      name,
      dose,
      actual,
      amount: charged.amount,
      waterBrought: charged.waterBrought,
      limiting: false,
    },
  ];
  const heat = content && dilutionHeat(context, step, roleId, charged.amount, before.waterG.value, so.contents);
  if (heat) so.heats = [...so.heats, heat];
}

/** A charge step that was skipped put nothing in. */
function skippedMass({ actuals }: Walker, step: string, name: string): Figure | undefined {
  return actuals.skipped.has(step) ? given({ symbol: 'm', name, unit: 'g' }, 0, 'skipped') : undefined;
}

function plannedCharge(
  walker: Walker,
  dose: Dose,
  name: string,
  content: Context['contents'][string] | undefined,
): Figure {
  if (walker.exact) return dose.mass;
  const reading = exactReading(dose.take.value, dose.take.unit);
  return chargeMass(reading, name, content, walker.context.water, walker.context.plan.bench, true) ?? dose.mass;
}

function asProduct(context: Context, roleId: string, name: string) {
  const content = context.contents[roleId];
  if (content) return { substance: content.substance, w: content.w, dissolved: content.dissolved, name };
  const pure = given({ symbol: 'w', name: 'water', unit: '%' }, 100, 'water');
  return { substance: substanceById('water')!, w: pure, dissolved: true, name };
}

/** What the charges so far are enough for, each role by itself, first charged first. */
function chargedExtents(context: Context, actuals: Actuals): ReadonlyMap<string, Figure> {
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
 * The extent a role is dosed for: the least that the roles charged before it allow, or the target while none is in. What
 * went in later does not change what a step asked for when it was done.
 */
function extentFor(walker: Walker, roleId: string | null): Figure {
  let least: Figure | undefined;
  for (const [id, extent] of walker.charged) {
    if (id === roleId) break;
    if (!least || extent.value < least.value) least = extent;
  }
  return least ?? walker.wanted;
}

/** Planned mass of a role: by extent, or water by what it dilutes. */
function plannedMass(walker: Walker, roleId: string): Figure {
  const { context, so } = walker;
  const role = roleOf(context, roleId);
  const { dose } = role;
  const content = context.contents[roleId];
  const naming = { symbol: 'm', name: `${role.name} to take`, unit: 'g' };
  if (dose.by === 'extent') return doseForExtent(role, context.plan, content!, extentFor(walker, roleId));
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
    '(m₁ − m₀) × set ÷ 100',
    { 'm₁': whole, 'm₀': acidMass, set: share },
    (x) => ((x['m₁'] - x['m₀']) * x.set) / 100,
  );
}

function reactStep(walker: Walker, step: string, reactionId: string): void {
  const { context, so } = walker;
  const reaction = context.route.reactions.find((each) => each.id === reactionId)!;
  const before = so.contents;
  const done = react(before, reaction);
  if (!done) return;
  so.contents = done.contents;
  so.extent = done.extent;
  so.limiting = done.limiting;
  so.reactMl = liquidVolume(done.contents);
  const [gas] = Object.entries(done.gases);
  so.gas = gas && { id: gas[0], amount: gas[1] };
  const heat = heatOfReaction(context, step, reaction, done.extent, before, done.contents);
  if (heat) so.heats = [...so.heats, heat];
}

/** Something charged that no role names: counted where its bottle is known, in the order it went in. */
function addUnplanned({ context, actuals, so }: Walker, step: string): void {
  for (const each of actuals.charges) {
    if (each.step !== step || each.role !== null) continue;
    const role = Object.entries(context.plan.bottles).find(([, id]) => id === each.bottleId && id !== null)?.[0];
    const name = role ? (context.names[role] ?? role) : 'water';
    const content = role ? context.contents[role] : undefined;
    const mass = chargeMass(each.reading, name, content, context.water, context.plan.bench);
    if (mass) so.contents = charge(so.contents, asProduct(context, role ?? 'water', name), mass).contents;
  }
}

/** A test portion that does not come back takes its share of everything. */
function withdraw({ actuals, so }: Walker, step: string): void {
  for (const { step: at, reading } of actuals.withdrawals) {
    const read = readingValue(reading);
    if (at !== step || !read) continue;
    const solutes = Object.entries(so.contents.amounts).reduce(
      (sum, [id, n]) => sum + n.value * molarMass(substanceById(id)?.formula ?? 'H2O'),
      0,
    );
    const massNow = so.contents.waterG.value + so.contents.inertG.value + solutes;
    if (massNow <= 0) continue;
    const part = Math.max(
      0,
      1 - (read.unit === 'mL' ? read.value * (massNow / liquidVolume(so.contents)) : read.value) / massNow,
    );
    const kept = given(
      { symbol: 'kept', name: 'part left after the test portion', unit: '' },
      part,
      'test portion booked at the bench',
    );
    const keep = (figure: Figure) =>
      derive(
        { symbol: figure.symbol, name: figure.name, unit: figure.unit },
        'x × kept',
        { x: figure, kept },
        (v) => v.x * v.kept,
      );
    const amounts = Object.fromEntries(Object.entries(so.contents.amounts).map(([id, n]) => [id, keep(n)]));
    so.contents = { amounts, waterG: keep(so.contents.waterG), inertG: keep(so.contents.inertG) };
  }
}

function markLimiting(
  context: Context,
  charges: readonly ChargeLine[],
  limiting: string | undefined,
): readonly ChargeLine[] {
  return charges.map((line) => {
    const substance = context.contents[line.role]?.substance;
    return { ...line, limiting: limiting !== undefined && (substance?.anhydrous ?? substance?.id) === limiting };
  });
}
