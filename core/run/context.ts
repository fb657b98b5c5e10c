import { type Figure, given } from '#core/figure';
import { fail, ok, type Result } from '#core/problem';
import { type Role, type Route, type StepTemplate, stepsAt } from '#core/route';
import { massFraction, waterDensityFigure } from '#core/solution';
import { type Content, contentOf } from '#core/stock';
import { substanceById } from '#core/substance';
import { checkPlan, type Plan } from './plan.ts';

/** Everything a sheet is computed from, looked up and checked once. */
export interface Context {
  readonly plan: Plan;
  readonly route: Route;
  /** What each role's bottle holds; water has none. */
  readonly contents: Readonly<Record<string, Content>>;
  readonly names: Readonly<Record<string, string>>;
  readonly water: Figure;
  /** The route's steps, those of a school that is not chosen left out. */
  readonly steps: readonly StepTemplate[];
  /** Mass % wanted, for a solution. */
  readonly targetPct: number | undefined;
}

/** Less than this, mass %, is none of it: dividing by it would overflow. */
const LEAST_PCT = 1e-9;

export function contextOf(plan: Plan): Result<Context> {
  const checked = checkPlan(plan);
  if (!checked.ok) return checked;
  const route = checked.value;
  // Roles come from entries too: a role named like a member of every object must not be found.
  const contents = Object.create(null) as Record<string, Content>;
  const names = Object.create(null) as Record<string, string>;
  for (const role of route.roles) {
    if (role.accepts.length === 0) {
      names[role.id] = role.name;
      continue;
    }
    const found = bottleContent(plan, role);
    if (!found.ok) return found;
    contents[role.id] = found.value.content;
    names[role.id] = found.value.name;
  }
  const targetPct = wantedPct(plan, route);
  if (!targetPct.ok) return targetPct;
  return ok({
    plan,
    route,
    contents,
    names,
    water: waterDensityFigure(plan.bench.tempC),
    steps: stepsAt(route, plan.controls),
    targetPct: targetPct.value,
  });
}

export function roleOf(context: Context, id: string): Role {
  const role = context.route.roles.find((each) => each.id === id);
  if (!role) throw new Error(`${context.route.id} has no role ${id}`);
  return role;
}

export function controlFigure(context: Context, id: string): Figure {
  const control = context.route.controls.find((each) => each.id === id);
  if (!control) throw new Error(`${context.route.id} has no control ${id}`);
  return given(
    { symbol: 'set', name: control.name, unit: control.unit },
    context.plan.controls[id] ?? control.start,
    'you set it',
  );
}

/** The wanted strength as a figure, mass %. */
export function wantedFigure(context: Context): Figure {
  return given(
    { symbol: 'w', name: 'wanted strength, by mass', unit: '%' },
    context.targetPct ?? 0,
    'your target, through the density table',
  );
}

function bottleContent(plan: Plan, role: Role): Result<{ content: Content; name: string }> {
  const field = `bottles.${role.id}`;
  const id = plan.bottles[role.id];
  const bottle = id && Object.hasOwn(plan.stock, id) ? plan.stock[id] : undefined;
  if (!id || !bottle) {
    const names = role.accepts.map((each) => substanceById(each)?.name ?? each).join(' or ');
    return fail('no-bottle', `No bottle for ${role.name}: put ${names} on the shelf, then choose it here.`, { field });
  }
  const content = contentOf(id, bottle.card, bottle.usedG, plan.bench.tempC, plan.day);
  if (!content.ok) return content;
  if (!role.accepts.includes(content.value.substance.id)) {
    const refused = role.refuses.find(({ substanceId }) => substanceId === content.value.substance.id);
    return fail(
      'no-bottle',
      `${bottle.card.name} is ${content.value.substance.name}, not ${role.name}. ${refused?.why ?? ''}`.trim(),
      { field },
    );
  }
  if (content.value.w.value < LEAST_PCT)
    return fail('impossible-strength', `${bottle.card.name} holds none of it.`, { field });
  return ok({ content: content.value, name: bottle.card.name });
}

function wantedPct(plan: Plan, route: Route): Result<number | undefined> {
  if (route.makes.kind !== 'solution') return ok(undefined);
  const substance = substanceById(plan.target.substanceId);
  if (!substance)
    return fail('unknown-substance', `“${plan.target.substanceId}” is not a substance known here.`, {
      field: 'target',
    });
  if (!plan.target.strength) {
    return fail('missing-part', `How strong should the ${substance.name} be? Add a strength, such as 2 mol/L.`, {
      field: 'target.strength',
    });
  }
  const w = massFraction(plan.target.strength, substance, plan.bench.tempC);
  if (!w.ok) return { ok: false, problem: { ...w.problem, field: 'target.strength' } };
  if (w.value <= 0) return fail('impossible-strength', 'A strength of 0 is water.', { field: 'target.strength' });
  return ok(w.value);
}
