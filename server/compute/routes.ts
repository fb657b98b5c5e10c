import { Router } from 'express';
import { compute } from '#contract/compute';
import { problemDocument } from '#contract/problems';
import { answer } from '../http/problem.ts';

export function computeRoutes(): Router {
  const router = Router();
  router.post('/:verb', (req, res) => {
    const result = compute(req.params.verb, req.body);
    if (result.ok || req.params.verb !== 'reckon' || result.problem.at === undefined) return answer(res, result);
    // The Reckoner's refusal keeps the shape it has on the command line, inside the problem document.
    const document = problemDocument(result.problem);
    const { code, message, at } = result.problem;
    res
      .status(document.status)
      .type('application/problem+json')
      .send(JSON.stringify({ ...document, problem: { code, message, at } }));
  });
  return router;
}
