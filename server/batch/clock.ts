import { Router } from 'express';
import type { ClockAnswer } from '#contract/api';
import { productTitle } from '#core/plan';
import { clockOf, runState } from '#core/state';
import { overdueDays } from '#core/stock';
import type { StockStore } from '../stock/store.ts';
import type { BatchStore } from './store.ts';

interface Where {
  readonly now: () => string;
  /** Of the shelf. */
  readonly tempC: () => number;
}

/** What runs, waits or is due in all running batches, soonest first. */
export function clockRoutes(batches: BatchStore, stock: StockStore, { now, tempC }: Where): Router {
  const router = Router();
  router.get('/', (_req, res) => {
    const at = now();
    const items = batches.list().flatMap((summary) => {
      if (summary.status !== 'running') return [];
      const batch = batches.one(summary.id);
      const state = batch.ok ? runState(batch.value.plan, batch.value.events, 'as they are') : undefined;
      if (!batch.ok || !state?.ok) return [];
      const name = productTitle(batch.value.plan);
      return clockOf(summary.id, name, state.value, at).map((item) => ({ ...item, number: summary.number }));
    });
    const where = { tempC: tempC(), today: at.slice(0, 10) };
    const answer: ClockAnswer = {
      now: at,
      items: items.sort((a, b) => (a.at ?? '9').localeCompare(b.at ?? '9')),
      overdue: stock
        .all()
        .filter(({ archived, card }) => !archived && card.group !== 'waste')
        .map((bottle) => ({
          bottleId: bottle.id,
          name: bottle.card.name,
          days: Math.round(overdueDays(bottle, where)),
        }))
        .filter(({ days }) => days > 0)
        .sort((a, b) => b.days - a.days),
    };
    res.json(answer);
  });
  return router;
}
