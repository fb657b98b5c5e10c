import { Router } from 'express';
import { applyAssayBody, assayEntriesBody, newAssayBody } from '#contract/bodies';
import { check } from '#contract/check';
import { answer, sendProblem } from '../http/problem.ts';
import type { AssayStore } from './store.ts';

export function assayRoutes(assays: AssayStore, now: () => string): Router {
  const router = Router();

  router.get('/', (_req, res) => {
    res.json(assays.list());
  });

  router.get('/:id', (req, res) => answer(res, assays.one(req.params.id)));

  router.post('/', (req, res) => {
    const body = check(newAssayBody, req.body);
    if (!body.ok) return sendProblem(res, body.problem);
    answer(res, assays.create(body.value.plan, now()), 201);
  });

  router.post('/:id/events', (req, res) => {
    const body = check(assayEntriesBody, req.body);
    if (!body.ok) return sendProblem(res, body.problem);
    answer(res, assays.append(req.params.id, body.value.events, now()), 201);
  });

  router.post('/:id/apply', (req, res) => {
    const body = check(applyAssayBody, req.body);
    if (!body.ok) return sendProblem(res, body.problem);
    answer(res, assays.apply(req.params.id, body.value.id, now()), 201);
  });

  return router;
}
