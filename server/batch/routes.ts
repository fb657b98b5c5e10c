import { Router } from 'express';
import { fail, type Result } from '#base/problem';
import { eventsBody, joinBody, newBatchBody, planChangeBody, splitBody } from '#contract/bodies';
import { check } from '#contract/check';
import type { RunEvent } from '#run/log';
import { sheetOf } from '#run/sheet';
import { answer, sendProblem } from '../http/problem.ts';
import type { BatchStore, SentEvent } from './store.ts';

/** A clock that runs a little ahead is forgiven; next week is not. */
const FUTURE_MS = 5 * 60_000;

export function batchRoutes(batches: BatchStore, now: () => string): Router {
  const router = Router();

  router.get('/', (_req, res) => {
    res.json(batches.list());
  });

  router.get('/:id', (req, res) => answer(res, batches.one(req.params.id)));

  router.post('/', (req, res) => {
    const body = check(newBatchBody, req.body);
    if (!body.ok) return sendProblem(res, body.problem);
    const sheet = sheetOf(body.value.plan);
    if (!sheet.ok) return sendProblem(res, sheet.problem);
    answer(res, batches.create(body.value.id, body.value.plan, now()), 201);
  });

  router.put('/:id/plan', (req, res) => {
    const body = check(planChangeBody, req.body);
    if (!body.ok) return sendProblem(res, body.problem);
    const sheet = sheetOf(body.value.plan);
    if (!sheet.ok) return sendProblem(res, sheet.problem);
    answer(res, batches.changePlan(req.params.id, body.value.plan, body.value.basedOn));
  });

  router.post('/:id/events', (req, res) => {
    const body = check(eventsBody, req.body);
    if (!body.ok) return sendProblem(res, body.problem);
    const writtenAt = now();
    const events = body.value.events.map((event): SentEvent => ({ ...event, writtenAt }));
    const timely = inTime(events, writtenAt);
    answer(res, timely.ok ? batches.append(req.params.id, events) : timely, 201);
  });

  router.post('/:id/split', (req, res) => {
    const body = check(splitBody, req.body);
    if (!body.ok) return sendProblem(res, body.problem);
    const { id, share, why } = body.value;
    answer(res, batches.split(req.params.id, id, share, why, now()), 201);
  });

  router.post('/:id/join', (req, res) => {
    const body = check(joinBody, req.body);
    if (!body.ok) return sendProblem(res, body.problem);
    answer(res, batches.join(req.params.id, body.value, now()), 201);
  });

  return router;
}

function inTime(events: readonly RunEvent[], now: string): Result<true> {
  const late = events.findIndex((event) => Date.parse(event.happened.at) > Date.parse(now) + FUTURE_MS);
  if (late < 0) return { ok: true, value: true };
  return fail('out-of-range', 'That lies in the future; an entry says what has happened.', {
    field: `events[${late}].happened.at`,
  });
}
