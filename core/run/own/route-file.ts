import { fields, number, one } from '#base/shape';
import { type Route, routeShape } from '#run/route';
import { ROUTE_VERSION } from './admit-route.ts';

/** A route as a file: what anyone may write, keep and hand on. */
export const routeFileShape = fields({
  format: one('earnest-still route'),
  version: number({ min: 1, max: ROUTE_VERSION, whole: true }),
  route: routeShape,
});

export interface RouteFile {
  readonly format: 'earnest-still route';
  readonly version: number;
  readonly route: Route;
}

export function routeFile(route: Route): RouteFile {
  return { format: 'earnest-still route', version: ROUTE_VERSION, route };
}
