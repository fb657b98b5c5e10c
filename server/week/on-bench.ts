import type { WeekAnswer } from '#contract/api';
import { hoursFrom } from '#contract/hours';
import type { Bench } from '#matter/gear';
import { USUAL_HOURS } from '#matter/gear';
import { daysToAssay } from '#matter/stock';
import { benchWeek, type leavingFrom } from '#run/agenda';
import { productTitle } from '#run/plan';
import type { BatchStore } from '../batch/store.ts';
import type { Db } from '../db/open.ts';
import type { StockStore } from '../stock/store.ts';
import { pacesIn } from './paces.ts';
import type { WeekStore } from './store.ts';

/** Days that a plan reaches ahead. */
export const DAYS = 14;
/** A batch that was done longer ago than this and stands in no bottle was not meant to. */
const UNBOTTLED_DAYS = 14;
const DAY_MS = 86_400_000;

export interface WeekDeps {
  readonly db: Db;
  readonly batches: BatchStore;
  readonly stock: StockStore;
  readonly week: WeekStore;
  readonly bench: () => Bench;
  readonly now: () => string;
}

/** Everything that a week is planned from: what stands on the bench and what waits for it, the hours, what was decided. */
export function weekIn({ db, batches, stock, week, bench, now }: WeekDeps): () => WeekAnswer {
  const pacesOf = pacesIn(db, batches);
  return () => {
    const at = now();
    const { version, choices } = week.current();
    const { hours = USUAL_HOURS, tempC, place } = bench();
    const laid = hoursFrom(hours, Date.parse(at), DAYS);
    const open = batches.list().filter(({ status }) => status === 'running' || status === 'planned');
    const unread: string[] = [];
    const standing = open.flatMap(({ id, number, status }) => {
      const run = batches.stateOf(id);
      if (!run) return [];
      const title = productTitle(run.plan);
      if (!run.state.ok) {
        unread.push(`${title}, ${number}: ${run.state.problem.message}`);
        return [];
      }
      const { steps, sheet } = run.state.value;
      const vessel = sheet.vessel?.vessel.name ?? null;
      return [{ id, number, title, state: { steps, status, vessel }, paces: pacesOf(run.plan.route.id) }];
    });
    const today = at.slice(0, 10);
    const due = stock.all().flatMap((bottle) => {
      if (bottle.archived || bottle.card.group === 'waste') return [];
      const days = daysToAssay(bottle, { tempC, today });
      return days === null || days > DAYS ? [] : [{ bottleId: bottle.id, name: bottle.card.name, days }];
    });
    const since = new Date(Date.parse(at) - UNBOTTLED_DAYS * DAY_MS).toISOString();
    const unbottled = batches
      .list()
      .filter(
        ({ status, bottles, finishedAt, got }) =>
          status === 'done' && bottles.length === 0 && got !== '' && (finishedAt ?? '') > since,
      )
      .map(({ id, number, title }) => ({ id, number, title }));
    return {
      now: at,
      version,
      choices,
      laid,
      hours,
      place,
      tasks: benchWeek(
        { batches: standing, due, unbottled },
        { from: Date.parse(laid.from), now: Date.parse(at), choices, roomC: tempC },
      ),
      batches: [
        ...standing.map(({ id, number, title, state }) => ({
          id,
          number,
          title,
          status: state.status,
          vessel: state.vessel,
        })),
        ...unbottled.map(({ id, number, title }) => ({
          id: `bottle ${id}`,
          number,
          title,
          status: 'done' as const,
          vessel: null,
        })),
      ],
      unread,
    };
  };
}

/** The batches that are running, as they stand. */
export function standingOn(batches: BatchStore): Parameters<typeof leavingFrom>[0] {
  return batches.list().flatMap(({ id, status }) => {
    const run = status === 'running' ? batches.stateOf(id) : undefined;
    return run?.state.ok ? [{ id, title: productTitle(run.plan), state: run.state.value }] : [];
  });
}
