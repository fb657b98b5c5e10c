import { Router } from 'express';
import type { ClockAnswer } from '#contract/api';
import { productTitle } from '#core/plan';
import { clockOf, runState } from '#core/state';
import type { BatchStore } from './store.ts';

/** What runs, waits or is due in all running batches, soonest first. */
export function clockRoutes(batches: BatchStore, now: () => string): Router {
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
    const answer: ClockAnswer = { now: at, items: items.sort((a, b) => (a.at ?? '9').localeCompare(b.at ?? '9')) };
    res.json(answer);
  });
  return router;
}
