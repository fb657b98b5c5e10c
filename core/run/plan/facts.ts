import { fail, ok, type Result } from '#base/problem';
import { admit } from '#matter/guard';
import { massFraction, waterDensityFigure } from '#matter/solution';
import { type Content, contentOf } from '#matter/stock';
import { substanceOf } from '#matter/substance';
import { acceptedFor, type StepTemplate, stepsAt } from '#run/route';
import type { Facts, Role } from '#run/technique';
import { checkPlan } from './check.ts';
import type { Plan } from './plan.ts';

/** Everything a sheet is computed from, looked up and checked once. */
export interface PlanFacts extends Facts {
  readonly plan: Plan;
  /** The route's steps, those of a method that is not chosen left out. */
  readonly steps: readonly StepTemplate[];
}

/** Less than this, mass %, is none of it: dividing by it would overflow. */
const LEAST_PCT = 1e-9;

const KNOWN = new WeakMap<Plan, Result<PlanFacts>>();

/** The facts of a plan; the same object for the same plan. */
export function factsOf(plan: Plan): Result<PlanFacts> {
  const known = KNOWN.get(plan);
  if (known) return known;
  const found = lookedUp(plan);
  KNOWN.set(plan, found);
  return found;
}

function lookedUp(plan: Plan): Result<PlanFacts> {
  const checked = checkPlan(plan);
  if (!checked.ok) return checked;
  const { route, bench } = plan;
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
  const pct = wantedPct(plan);
  if (!pct.ok) return pct;
  return ok({
    plan,
    bench,
    recipe: route,
    contents,
    names,
    bottles: plan.bottles,
    settings: plan.controls,
    tables: plan.tables,
    water: waterDensityFigure(bench.tempC),
    target: { substance: substanceOf(plan.target.substanceId), pct: pct.value },
    steps: stepsAt(route, plan.controls),
    contentThen: (bottleId, { card, usedG }) => {
      const content = contentOf({ id: bottleId, card, usedG }, bench.tempC, plan.day);
      return content.ok ? content.value : undefined;
    },
  });
}

function bottleContent(plan: Plan, role: Role): Result<{ content: Content; name: string }> {
  const field = `bottles.${role.id}`;
  const id = plan.bottles[role.id];
  const { makes } = plan.route;
  const dilutes = makes.kind === 'solution' && makes.substanceId === undefined && makes.role === role.id;
  // What is only made up is what is in the bottle: another substance under the wanted name makes every figure false.
  const accepts = acceptedFor(role, dilutes ? plan.target.substanceId : undefined);
  const bottle = id && Object.hasOwn(plan.stock, id) ? plan.stock[id] : undefined;
  if (!id || !bottle) {
    const names = accepts.map((each) => substanceOf(each).name).join(' or ');
    return fail('no-bottle', `No bottle for ${role.name}: put ${names} on the shelf, then choose it here.`, { field });
  }
  const content = contentOf({ id, ...bottle }, plan.bench.tempC, plan.day);
  if (!content.ok) return content;
  const { substance } = content.value;
  if (!accepts.includes(substance.id)) {
    const refused = role.refuses.find(({ substanceId }) => substanceId === substance.id);
    return fail(
      'no-bottle',
      `${bottle.card.name} is ${substance.name}, not ${dilutes ? substanceOf(plan.target.substanceId).name : role.name}. ${refused?.why ?? ''}`.trim(),
      { field },
    );
  }
  if (content.value.w.value < LEAST_PCT)
    return fail('impossible-strength', `${bottle.card.name} holds none of it.`, { field });
  const taken = admit({ substanceId: substance.id, pct: content.value.w.value }, 'take');
  if (!taken.ok) return { ok: false, problem: { ...taken.problem, field } };
  return ok({ content: content.value, name: bottle.card.name });
}

function wantedPct({ route, target, bench }: Plan): Result<number | undefined> {
  if (route.makes.kind !== 'solution') return ok(undefined);
  const substance = substanceOf(target.substanceId);
  if (!target.strength) {
    return fail('missing-part', `How strong should the ${substance.name} be? Add a strength, such as 2 mol/L.`, {
      field: 'target.strength',
    });
  }
  const w = massFraction(target.strength, substance, bench.tempC);
  if (!w.ok) return { ok: false, problem: { ...w.problem, field: 'target.strength' } };
  if (w.value <= 0) return fail('impossible-strength', 'A strength of 0 is water.', { field: 'target.strength' });
  return ok(w.value);
}
