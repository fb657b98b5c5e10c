import { imbalance } from '#matter/reaction';
import { type References, referencesOf, techniques } from '#run/technique';
import type { Route } from './route.ts';

/** Quantities that sentences may name whatever the steps are. */
const ALWAYS = ['bench.temp', 'vessel', 'dry.ceiling', 'made.name', 'heat.rise', 'heat.ice', 'gas.volume'];
const TEXTS = ['title', 'act', 'until', 'expect', 'trouble', 'why', 'skipCosts'] as const;

/** What is wrong with a route, one sentence each; empty for a sound one. Asked of the catalogue by tests, of a plan at the door. */
export function routeProblems(route: Route): readonly string[] {
  const found: string[] = [];
  const ids = {
    roles: new Set(route.roles.map(({ id }) => id)),
    reactions: new Set(route.reactions.map(({ id }) => id)),
    controls: new Set(route.controls.map(({ id }) => id)),
    steps: new Set(route.steps.map(({ id }) => id)),
  };
  const twice = (of: string, all: readonly { readonly id: string }[], known: ReadonlySet<string>) => {
    if (known.size < all.length) found.push(`Two ${of} of the route have one id.`);
  };
  twice('roles', route.roles, ids.roles);
  twice('steps', route.steps, ids.steps);
  twice('controls', route.controls, ids.controls);
  twice('reactions', route.reactions, ids.reactions);
  const need = (where: string, references: References) => {
    for (const kind of ['roles', 'reactions', 'controls', 'steps'] as const)
      for (const id of references[kind] ?? [])
        if (!ids[kind].has(id)) found.push(`${where} names the ${kind.slice(0, -1)} “${id}”, which the route has not.`);
  };
  if (route.makes.kind !== 'solid') need('What it makes', { roles: [route.makes.role] });
  for (const { id, dose } of route.roles)
    need(`The role “${id}”`, {
      roles: 'role' in dose ? [dose.role] : [],
      controls: ['control', 'spare', 'excessControl'].flatMap((key) =>
        key in dose ? [String(dose[key as keyof typeof dose])] : [],
      ),
      reactions: 'reactions' in dose ? dose.reactions : [],
    });
  // Water has no label to be dosed by: a role that takes no bottle is measured by what others need.
  const water = new Set(route.roles.filter(({ accepts }) => accepts.length === 0).map(({ id }) => id));
  for (const { id, dose } of route.roles) {
    if (water.has(id) && (dose.by === 'extent' || dose.by === 'contents'))
      found.push(`The role “${id}” is dosed by what is in its bottle and accepts none.`);
    if ('role' in dose && dose.by !== 'per-gram' && water.has(dose.role))
      found.push(`The role “${id}” is dosed by “${dose.role}”, which comes from no bottle.`);
  }
  if (route.makes.kind !== 'solid' && water.has(route.makes.role))
    found.push(`It makes a solution of “${route.makes.role}”, which comes from no bottle.`);
  for (const { id, min, max, start } of route.controls)
    if (!(min <= start && start <= max)) found.push(`The control “${id}” starts outside its range.`);
  for (const reaction of route.reactions)
    if (Object.keys(imbalance(reaction)).length > 0) found.push(`The reaction “${reaction.id}” is not balanced.`);
  const quantities = quantityNames(route);
  for (const step of route.steps) {
    const where = `The step “${step.id}”`;
    need(where, referencesOf(step.op));
    need(where, { steps: step.after, controls: step.only ? [step.only.control] : [] });
    for (const key of [...TEXTS.map((each) => step[each]), step.adding?.overshoot ?? ''])
      for (const [, name = ''] of key.matchAll(/\{([\w.-]+)\}/g))
        if (!quantities.has(name)) found.push(`${where} names the quantity “${name}”, which nothing gives.`);
  }
  return found;
}

/** Every quantity that a sentence of the route may name. */
export function quantityNames(route: Route): ReadonlySet<string> {
  const gases = route.reactions.flatMap(({ products }) => products.map(({ substanceId }) => `gas.${substanceId}`));
  return new Set([
    ...ALWAYS,
    ...gases,
    ...route.roles.flatMap(({ id }) => [`${id}.mass`, `${id}.volume`, `${id}.name`]),
    ...route.controls.map(({ id }) => `set.${id}`),
    ...route.steps.flatMap(({ op }) => Object.keys(techniques[op.do].gives)),
  ]);
}
