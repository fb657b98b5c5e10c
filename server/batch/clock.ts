import { Router } from 'express';
import type { ClockAnswer } from '#contract/api';
import { type BottleState, overdueDays } from '#matter/stock';
import { productTitle } from '#run/plan';
import { clockOf } from '#run/state';
import type { StockStore } from '../stock/store.ts';
import type { BatchStore } from './store.ts';

interface Where {
  readonly now: () => string;
  /** Of the shelf. */
  readonly tempC: () => number;
  readonly written: () => number;
}

const DAYS = new WeakMap<BottleState, { readonly key: string; readonly days: number }>();

/** Days overdue, computed once a day for a bottle that nothing was added to. */
function daysOf(bottle: BottleState, where: { readonly tempC: number; readonly today: string }): number {
  const key = `${where.today} ${where.tempC}`;
  const known = DAYS.get(bottle);
  if (known?.key === key) return known.days;
  const days = Math.round(overdueDays(bottle, where));
  DAYS.set(bottle, { key, days });
  return days;
}

/** What runs, waits or is due in all running batches, soonest first. */
export function clockRoutes(batches: BatchStore, stock: StockStore, { now, tempC, written }: Where): Router {
  const router = Router();
  router.get('/', (_req, res) => {
    const at = now();
    const items = batches.list().flatMap((summary) => {
      if (summary.status !== 'running') return [];
      const run = batches.stateOf(summary.id);
      if (!run?.state.ok) return [];
      const name = productTitle(run.plan);
      return clockOf(summary.id, name, run.state.value, at).map((item) => ({ ...item, number: summary.number }));
    });
    const where = { tempC: tempC(), today: at.slice(0, 10) };
    const answer: ClockAnswer = {
      now: at,
      written: written(),
      items: items.sort((a, b) => (a.at ?? '9').localeCompare(b.at ?? '9')),
      overdue: stock
        .all()
        .filter(({ archived, card }) => !archived && card.group !== 'waste')
        .map((bottle) => ({
          bottleId: bottle.id,
          name: bottle.card.name,
          days: daysOf(bottle, where),
        }))
        .filter(({ days }) => days > 0)
        .sort((a, b) => b.days - a.days),
    };
    res.json(answer);
  });
  return router;
}
