import { Router } from 'express';
import { targetText } from '#core/route';
import { clockOf, runState } from '#core/run';
import type { ClockAnswer } from '#contract/api';
import type { BatchStore } from './store.ts';

/** What runs, waits or is due in all running batches, soonest first. */
export function clockRoutes(batches: BatchStore, now: () => string): Router {
  const router = Router();
  router.get('/', (_req, res) => {
    const at = now();
    const items = batches.list().flatMap((summary) => {
      if (summary.status !== 'running') return [];
      const batch = batches.one(summary.id);
      const state = batch.ok ? runState(batch.value.plan, batch.value.events) : undefined;
      if (!batch.ok || !state?.ok) return [];
      const name = targetText(batch.value.plan.target).replace(/^.* of /, '');
      return clockOf(summary.id, name, state.value, at).map((item) => ({ ...item, number: summary.number }));
    });
    const answer: ClockAnswer = { now: at, items: items.sort((a, b) => (a.at ?? '9').localeCompare(b.at ?? '9')) };
    res.json(answer);
  });
  return router;
}
