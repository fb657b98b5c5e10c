import { fail, ok, type Result } from '#base/problem';
import { BenchDefaults } from '#matter/gear';
import { admit, admitReaction } from '#matter/guard';
import type { SubstanceId } from '#matter/substance';
import { type Plan, startPlan, usualCard } from '#run/plan';
import { catalogue, type Route, routeProblems, type ShelfBottle } from '#run/route';
import { sheetOf } from '#run/sheet';

/** Version of routes as they are stored and exchanged. */
export const ROUTE_VERSION = 1;

/** Prefix of the ids of a person’s own routes: none of them is taken for a built-in one. */
export const OWN_ROUTE = 'own-';

const BUILT_IN = new Set(catalogue.map(({ id }) => id));

/**
 * Whether a person’s own route is kept here: sound, and nothing in it that no plan would be let through with. It is asked with
 * bottles as strong as they are usually sold; each plan of it is asked again, with its own.
 */
export function admitRoute(route: Route): Result<true> {
  const field = 'route';
  if (BUILT_IN.has(route.id) || !route.id.startsWith(OWN_ROUTE))
    return fail('invalid-input', `The id of a route of one’s own begins with “${OWN_ROUTE}”.`, { field: 'route.id' });
  const [problem] = routeProblems(route);
  if (problem) return fail('no-route', problem, { field });
  const { makes } = route;
  const asked = makes.kind === 'solid' ? undefined : route.roles.find(({ id }) => id === makes.role);
  const made: SubstanceId | undefined = makes.substanceId ?? asked?.accepts[0];
  if (!made) return fail('no-route', 'It does not say what it makes.', { field });
  const allowed = admit({ substanceId: made }, 'make');
  if (!allowed.ok) return allowed;
  for (const reaction of route.reactions) {
    const reacts = admitReaction(reaction);
    if (!reacts.ok) return { ok: false, problem: { ...reacts.problem, field } };
  }
  for (const { accepts } of route.roles)
    for (const substanceId of accepts) {
      const taken = admit({ substanceId }, 'take');
      if (!taken.ok) return { ok: false, problem: { ...taken.problem, field } };
    }
  // By little too: what a cap of this room refuses first may be two things that never may meet.
  for (const times of [1, LITTLE]) {
    const sheet = sheetOf(usualPlan(route, made, times));
    if (!sheet.ok && sheet.problem.code === 'beyond-scope') return sheet;
  }
  return ok(true);
}

const LITTLE = 0.01;

/** A plan with bottles as strong as they are usually sold: 20 g of a solid, or 100 mL. */
function usualPlan(route: Route, made: SubstanceId, times: number): Plan {
  const { kind } = route.makes;
  const amount =
    kind === 'solid' ? { value: 20 * times, unit: 'g' as const } : { value: 100 * times, unit: 'mL' as const };
  const strength = kind === 'solution' ? { value: 0.1, unit: 'mol/L' as const } : null;
  return startPlan({
    route,
    target: { substanceId: made, amount, strength, fromRole: null },
    bottles: Object.fromEntries(route.roles.map(({ id, accepts }) => [id, accepts.length > 0 ? `usual_${id}` : null])),
    shelf: route.roles.flatMap(({ id, accepts }) => (accepts[0] ? [usualBottle(id, accepts[0])] : [])),
    bench: BenchDefaults,
    day: '2026-01-01',
  });
}

function usualBottle(role: string, substanceId: SubstanceId): ShelfBottle {
  return { id: `usual_${role}`, card: usualCard(substanceId, 'bought', '2026-01-01'), usedG: 0, archived: false };
}
