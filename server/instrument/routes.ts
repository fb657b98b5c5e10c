import { Router } from 'express';
import { problem } from '#base/problem';
import { feedChangeBody, feedStartBody } from '#contract/bodies';
import { check } from '#contract/check';
import { answer, sendProblem } from '../http/problem.ts';
import type { Feeds } from './feeds.ts';

/** A line that says nothing for so long is taken for dead by what lies between, ms. */
const ALIVE_MS = 20_000;

/** `/api/batches/:id/feed`: the instruments at a batch, their readings, and a stream of them as they come. */
export function instrumentRoutes(feeds: Feeds): Router {
  const router = Router({ mergeParams: true });
  const batchOf = (params: unknown) => (params as { id: string }).id;

  router.get('/', (req, res) => {
    const from = countOf(req.query.after);
    const points = req.query.points === undefined ? null : countOf(req.query.points);
    if (from === undefined || points === undefined || points === 0)
      return sendProblem(res, problem('invalid-input', '“after” and “points” are whole numbers of 0 and 1 or more.'));
    const batchId = batchOf(req.params);
    const readings = feeds.readings(batchId, from, points);
    res.json({ status: feeds.status(batchId), readings });
  });

  router.post('/', (req, res) => {
    const body = check(feedStartBody, req.body);
    if (!body.ok) return sendProblem(res, body.problem);
    answer(res, feeds.start(batchOf(req.params), body.value), 201);
  });

  router.patch('/', (req, res) => {
    const body = check(feedChangeBody, req.body);
    if (!body.ok) return sendProblem(res, body.problem);
    answer(res, feeds.change(batchOf(req.params), body.value));
  });

  router.get('/stream', (req, res) => {
    const batchId = batchOf(req.params);
    res.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store', Connection: 'keep-alive' });
    res.flushHeaders();
    const send = (data: object) => res.write(`data: ${JSON.stringify(data)}\n\n`);
    send({ status: feeds.status(batchId), readings: [] });
    const stop = feeds.listen(batchId, (readings, status) => send({ status, readings }));
    const alive = setInterval(() => res.write(': \n\n'), ALIVE_MS);
    alive.unref();
    req.on('close', () => {
      clearInterval(alive);
      stop();
    });
  });

  return router;
}

/** A whole number of a query; undefined for anything else. */
function countOf(text: unknown): number | undefined {
  if (text === undefined) return 0;
  return typeof text === 'string' && /^\d{1,9}$/.test(text) ? Number(text) : undefined;
}
