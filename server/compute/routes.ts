import { Router } from 'express';
import { compute } from '#contract/compute';
import { answer } from '../http/problem.ts';

export function computeRoutes(): Router {
  const router = Router();
  router.post('/:verb', (req, res) => answer(res, compute(req.params.verb, req.body)));
  return router;
}
