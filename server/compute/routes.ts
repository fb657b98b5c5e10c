import { Router } from 'express';
import type { Written } from './answer.ts';

/** Computes off the server's thread, or on it where that is what a test wants. */
export type Ask = (verb: string, body: unknown) => Promise<Written> | Written;

export function computeRoutes(ask: Ask): Router {
  const router = Router();
  router.post('/:verb', async (req, res) => {
    const { status, type, text } = await ask(req.params.verb, req.body);
    res.status(status).type(type).send(text);
  });
  return router;
}
