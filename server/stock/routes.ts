import { Router } from 'express';
import { bottleEventBody, newBottleBody } from '#contract/bodies';
import { check } from '#contract/check';
import { fail } from '#core/problem';
import { type BottleCard, type BottleEvent, contentOf } from '#core/stock';
import { substanceById } from '#core/substance';
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
    const sound = soundCard(id, card);
    if (!sound.ok) return sendProblem(res, sound.problem);
    const event: BottleEvent = { id: eventId, happenedAt: now(), writtenAt: now(), body: { kind: 'put', card } };
    answer(res, stock.append(id, event), 201);
  });

  router.post('/:id/events', (req, res) => {
    const body = check(bottleEventBody, req.body);
    if (!body.ok) return sendProblem(res, body.problem);
    const { id, happenedAt, basedOn, body: change } = body.value;
    if (change.kind === 'corrected') {
      const sound = soundCard(req.params.id, change.card);
      if (!sound.ok) return sendProblem(res, sound.problem);
    }
    answer(res, stock.append(req.params.id, { id, happenedAt, writtenAt: now(), body: change }, basedOn), 201);
  });

  return router;
}

/** A card whose substance is known and whose strength can exist; 20 °C is as good as any for that. */
function soundCard(id: string, card: BottleCard) {
  if (!substanceById(card.substanceId)) {
    return fail('unknown-substance', `“${card.substanceId}” is not a substance known here.`, {
      field: 'card.substanceId',
    });
  }
  return contentOf({ id, card, usedG: 0 }, 20);
}
