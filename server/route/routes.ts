import { Router } from 'express';
import { fail, ok } from '#base/problem';
import { ownRouteBody } from '#contract/bodies';
import { check } from '#contract/check';
import { admitRoute, leavesOpen, OWN_ROUTE, routeFile, routeFileShape } from '#run/own';
import { answer, sendProblem } from '../http/problem.ts';
import type { RouteStore } from './store.ts';

export function routeRoutes(routes: RouteStore, now: () => string): Router {
  const router = Router();

  router.get('/', (_req, res) => {
    res.json(routes.list());
  });

  /** The newest version as a file, to keep and to hand on. */
  router.get('/:id/file', (req, res) => {
    const found = routes.list().find(({ id }) => id === req.params.id);
    if (!found) return answer(res, fail('not-found', 'There is no such route.'));
    const name = found.route.title.replace(/[^\p{L}\p{N}]+/gu, '-').slice(0, 60);
    res.attachment(`${name}.route.json`).send(`${JSON.stringify(routeFile(found.route), null, 2)}\n`);
  });

  /** A file of a route, looked through before it is kept: what it is here, and what it leaves open. */
  router.post('/look', (req, res) => {
    const read = check(routeFileShape, req.body);
    if (!read.ok)
      return answer(
        res,
        fail('invalid-input', `That is no route of this app: ${read.problem.message}`, {
          field: read.problem.field ?? 'route',
        }),
      );
    const given = read.value.route;
    // A built-in route that was handed on is a route of one's own here.
    const route = given.id.startsWith(OWN_ROUTE) ? given : { ...given, id: `${OWN_ROUTE}${given.id}`.slice(0, 80) };
    const admitted = admitRoute(route);
    answer(res, admitted.ok ? ok({ route, leavesOpen: leavesOpen(route) }) : admitted);
  });

  router.put('/:id', (req, res) => {
    const body = check(ownRouteBody, req.body);
    if (!body.ok) return sendProblem(res, body.problem);
    const { basedOn, route } = body.value;
    if (route.id !== req.params.id)
      return answer(res, fail('invalid-input', 'The route has another id than its address.', { field: 'route.id' }));
    answer(res, routes.keep(route, { basedOn, at: now() }));
  });

  router.post('/:id/retire', (req, res) => answer(res, routes.retire(req.params.id, true, now())));
  router.post('/:id/restore', (req, res) => answer(res, routes.retire(req.params.id, false, now())));

  return router;
}
