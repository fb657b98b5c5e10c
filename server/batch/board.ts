import { Router } from 'express';
import type { BatchSummary, BoardAnswer, KeptOnBoard } from '#contract/api';
import type { BottleState } from '#matter/stock';
import { type Plan, productTitle } from '#run/plan';
import { sheetOf } from '#run/sheet';
import { onBoard } from '#run/state';
import type { StockStore } from '../stock/store.ts';
import type { BatchStore } from './store.ts';

/** The bench as it stands: every running batch drawn, soonest first, and the plans that are kept with what they lack. */
export function boardRoutes(batches: BatchStore, stock: StockStore, now: () => string): Router {
  const router = Router();
  router.get('/', (_req, res) => {
    const at = now();
    const all = batches.list();
    const answer: BoardAnswer = {
      now: at,
      running: all
        .flatMap((summary) => running(batches, summary, at))
        .sort((a, b) => (a.at ?? '9').localeCompare(b.at ?? '9')),
      kept: all.flatMap((summary) => kept(batches, stock, summary)),
    };
    res.json(answer);
  });
  return router;
}

function running(batches: BatchStore, { id, number, status }: BatchSummary, now: string): BoardAnswer['running'] {
  if (status !== 'running') return [];
  const run = batches.stateOf(id);
  if (!run?.state.ok) return [];
  const item = onBoard(id, productTitle(run.plan), { state: run.state.value, now });
  return item ? [{ ...item, number }] : [];
}

function kept(batches: BatchStore, stock: StockStore, { id, number, status }: BatchSummary): readonly KeptOnBoard[] {
  if (status !== 'planned') return [];
  const batch = batches.one(id);
  if (!batch.ok) return [];
  const sheet = sheetOf(withStock(batch.value.plan, stock));
  const title = productTitle(batch.value.plan);
  const short = sheet.ok ? sheet.value.shortages.map(({ message }) => message) : [sheet.problem.message];
  return [{ batchId: id, number, title, short }];
}

function asToday(then: Plan['stock'][string], { card, usedG }: BottleState) {
  return { usedG, card: card.measured ? card : then.card };
}

/** A plan with its bottles as they are today: as full, and as strong as they were last found to be. */
function withStock(plan: Plan, stock: StockStore): Plan {
  const today = Object.fromEntries(
    Object.entries(plan.stock).map(([id, each]) => {
      const bottle = stock.one(id);
      return [id, bottle.ok ? { ...each, ...asToday(each, bottle.value) } : each];
    }),
  );
  return { ...plan, stock: today };
}
