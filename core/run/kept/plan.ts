import type { Plan } from '#run/plan';
import type { Route } from '#run/route';
import { bottleThenFrom } from './event.ts';
import { read, type Stored } from './stored.ts';

/** The routes of a version by their ids, as they were then. */
export type RoutesThen = (id: string) => Route | undefined;

/**
 * A plan as it was stored under a version, as it is read today. In version 1 it named its route only: it takes the route as
 * it was then, so that no later change of a route rewrites it. A route that there never was has no steps, and its plan says so.
 */
export function planFrom(stored: Stored, version: number, routesThen: RoutesThen): Plan {
  if (version >= 2) return read<Plan>(stored);
  const id = String(stored.routeId);
  const route = routesThen(id) ?? noRoute(id);
  const { routeId: _, ...rest } = stored;
  const stock = Object.entries(stored.stock as Readonly<Record<string, Stored>>).map(
    ([id, bottle]) => [id, bottleThenFrom(bottle, version)] as const,
  );
  return read<Plan>({ ...rest, route, stock: Object.fromEntries(stock), tables: 1 });
}

function noRoute(id: string): Route {
  return {
    id,
    title: id,
    summary: '',
    source: '',
    makes: { kind: 'solution', role: id },
    roles: [],
    reactions: [],
    controls: [],
    handling: null,
    foamShare: 0,
    drying: null,
    byProducts: [],
    identity: [],
    storage: '',
    steps: [],
  };
}
