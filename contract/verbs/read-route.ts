import { admitRoute, leavesOpen, OWN_ROUTE, routeFileShape } from '#core/own';
import { fail, ok, type Result } from '#core/problem';
import type { Route } from '#core/route';
import { fields, text } from '#core/shape';
import { check } from '../check.ts';
import { verb } from '../verb.ts';

/** A route as a file holds it: looked through, asked at the gate, with what it leaves open. */
export const readRoute = verb({
  name: 'readRoute',
  input: fields({ text: text(500_000) }),
  run: ({ text: file }): Result<{ readonly route: Route; readonly leavesOpen: readonly string[] }> => {
    let json: unknown;
    try {
      json = JSON.parse(file);
    } catch {
      return fail('invalid-input', 'That is no route: a file of JSON is wanted, as this app writes one.', {
        field: 'text',
      });
    }
    const read = check(routeFileShape, json);
    if (!read.ok)
      return fail('invalid-input', `That is no route of this app: ${read.problem.message}`, { field: 'text' });
    const given = read.value.route;
    // A built-in route that was handed on is a route of one’s own here.
    const route = given.id.startsWith(OWN_ROUTE) ? given : { ...given, id: `${OWN_ROUTE}${given.id}`.slice(0, 80) };
    const admitted = admitRoute(route);
    return admitted.ok ? ok({ route, leavesOpen: leavesOpen(route) }) : admitted;
  },
  example: null,
});
