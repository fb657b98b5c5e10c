import { fail, ok, type Result } from '#core/problem';
import type { ShelfBottle } from '#core/stock';
import { type SubstanceId, substanceOf } from '#core/substance';
import type { Role } from '#core/technique';
import { catalogue } from './catalogue/index.ts';
import type { Route } from './route.ts';

export interface RouteChoice {
  readonly route: Route;
  /** The bottle for each role; null for plain water or where none fits. */
  readonly bottles: Readonly<Record<string, string | null>>;
  /** What is missing, one sentence each. */
  readonly missing: readonly string[];
}

/** Bottles on the shelf that can play a role, bought ones first, fullest first. Waste never is offered. */
export function bottlesForRole(role: Role, shelf: readonly ShelfBottle[], wanted?: string): readonly ShelfBottle[] {
  const accepts: readonly string[] = wanted ? role.accepts.filter((id) => id === wanted) : role.accepts;
  return shelf
    .filter((bottle) => !bottle.archived && bottle.card.group !== 'waste' && accepts.includes(bottle.card.substanceId))
    .sort((a, b) => rank(a, accepts) - rank(b, accepts) || left(b) - left(a));
}

function rank(bottle: ShelfBottle, accepts: readonly string[]): number {
  const made = bottle.card.group === 'bought' ? 0 : 1;
  return made * 10 + accepts.indexOf(bottle.card.substanceId);
}

function left({ card, usedG }: ShelfBottle): number {
  return (card.size?.value ?? 0) - usedG;
}

/** The routes to a substance, each with the bottles the shelf offers and what is missing. */
export function routesFor(substanceId: SubstanceId, shelf: readonly ShelfBottle[]): Result<readonly RouteChoice[]> {
  const { name } = substanceOf(substanceId);
  const routes = catalogue.filter((route) => canMake(route, substanceId));
  if (routes.length === 0) {
    const known = [...new Set(catalogue.flatMap(productNames))].join(', ');
    return fail('no-route', `No route here makes ${name}. There are routes to ${known}.`, { field: 'target' });
  }
  return ok(
    routes.map((route) => {
      const { makes } = route;
      const dilutes = makes.kind === 'solution' && makes.substanceId === undefined;
      const wanted: Readonly<Record<string, string>> = dilutes ? { [makes.role]: substanceId } : {};
      const picks = route.roles.map((role) => [role, bottlesForRole(role, shelf, wanted[role.id])[0]] as const);
      return {
        route,
        bottles: Object.fromEntries(picks.map(([role, bottle]) => [role.id, bottle?.id ?? null])),
        missing: picks.flatMap(([role, bottle]) =>
          role.accepts.length > 0 && !bottle ? [missingText(role, shelf)] : [],
        ),
      };
    }),
  );
}

function canMake(route: Route, substanceId: SubstanceId): boolean {
  if (route.makes.kind === 'solid')
    return [route.makes.substanceId, route.makes.anhydrousId, ...(route.makes.also ?? [])].some(
      (id) => id === substanceId,
    );
  const { role, substanceId: made } = route.makes;
  if (made !== undefined) return made === substanceId;
  return route.roles.some((each) => each.id === role && each.accepts.some((accepted) => accepted === substanceId));
}

function productNames(route: Route): string[] {
  const { makes: made } = route;
  if (made.kind === 'solid') return [substanceOf(made.substanceId).name];
  if (made.substanceId !== undefined) return [`${substanceOf(made.substanceId).name} solution`];
  const role = route.roles.find((each) => each.id === made.role);
  return (role?.accepts ?? []).map((id) => `${substanceOf(id).name} solution`);
}

/** A bottle that looks right but is refused says why. */
function missingText(role: Role, shelf: readonly ShelfBottle[]): string {
  const refused = role.refuses.find(({ substanceId }) =>
    shelf.some((bottle) => !bottle.archived && bottle.card.substanceId === substanceId),
  );
  const names = role.accepts.map((id) => substanceOf(id).name).join(' or ');
  return refused
    ? `No ${role.name} on the shelf. ${refused.why}`
    : `No ${role.name} on the shelf: put ${names} on it first.`;
}
