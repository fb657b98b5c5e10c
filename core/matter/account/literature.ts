import { type YieldRow, yields } from '#matter/data';

const BY_ROUTE = new Map(yields.flatMap((row) => row.routes.map((id) => [id, row] as const)));

/** What practice gets by a route; undefined where none is held, as of a route of one’s own. */
export function literatureYield(routeId: string): YieldRow | undefined {
  return BY_ROUTE.get(routeId);
}
