import { Router } from 'express';
import { bottleEventBody, newBottleBody } from '#contract/bodies';
import { check } from '#contract/check';
import type { BottleEvent } from '#matter/stock';
import { answer, sendProblem } from '../http/problem.ts';
import type { StockStore } from './store.ts';

export function stockRoutes(stock: StockStore, now: () => string): Router {
  const router = Router();

  router.get('/', (_req, res) => {
    res.json(stock.all());
  });

  router.get('/:id', (req, res) => answer(res, stock.one(req.params.id)));

  router.get('/:id/events', (req, res) => {
    const bottle = stock.one(req.params.id);
    if (bottle.ok) res.json(stock.events(req.params.id));
    else sendProblem(res, bottle.problem);
  });

  router.post('/', (req, res) => {
    const body = check(newBottleBody, req.body);
    if (!body.ok) return sendProblem(res, body.problem);
    const { id, eventId, card } = body.value;
    const event: BottleEvent = { id: eventId, happenedAt: now(), writtenAt: now(), body: { kind: 'put', card } };
    answer(res, stock.append(id, event), 201);
  });

  router.post('/:id/events', (req, res) => {
    const body = check(bottleEventBody, req.body);
    if (!body.ok) return sendProblem(res, body.problem);
    const { id, happenedAt, basedOn, body: change } = body.value;
    answer(res, stock.append(req.params.id, { id, happenedAt, writtenAt: now(), body: change }, basedOn), 201);
  });

  return router;
}
