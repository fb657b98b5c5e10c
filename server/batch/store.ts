import type { BatchAnswer, BatchSummary } from '#contract/api';
import { eventBodyFrom, planFrom, routes1, type Stored } from '#core/kept';
import type { EventBody, RunEvent } from '#core/log';
import { EVENT_VERSION } from '#core/log';
import type { Plan } from '#core/plan';
import { PLAN_VERSION } from '#core/plan';
import { fail, ok, type Result } from '#core/problem';
import { checkEntry, joinRuns, splitRun } from '#core/state';
import type { Db } from '../db/open.ts';
import type { StockStore } from '../stock/store.ts';
import { stockUseOf } from './stock-use.ts';
import { SUMMARY_MODEL, summarise } from './summary.ts';

interface BatchRow {
  id: string;
  number: number;
  version: number;
  created_at: string;
  plan: string;
  plan_version: number;
}

interface EventRow {
  seq: number;
  id: string;
  batch_id: string;
  happened_at: string;
  give_or_take_min: number;
  written_at: string;
  body: string;
  version: number;
}

interface SummaryRow extends BatchRow {
  last_seq: number;
  upto_seq: number | null;
  summary_version: number | null;
  model: number | null;
  summary: string | null;
}

export type BatchStore = ReturnType<typeof batchStore>;

/** Batches: a plan that may be changed until the run begins, and events that are only added. */
export function batchStore(db: Db, stock: StockStore) {
  const insertBatch = db.prepare(
    'INSERT INTO batch (id, number, version, created_at, plan, plan_version) VALUES (?, (SELECT COALESCE(MAX(number), 0) + 1 FROM batch), 1, ?, ?, ?)',
  );
  const updatePlan = db.prepare(
    'UPDATE batch SET plan = ?, plan_version = ?, version = version + 1 WHERE id = ? AND version = ?',
  );
  const batchById = db.prepare<[string], BatchRow>('SELECT * FROM batch WHERE id = ?');
  const known = db.prepare<[string], { id: string }>('SELECT id FROM batch WHERE id = ?');
  const insertEvent = db.prepare(
    'INSERT INTO batch_event (id, batch_id, happened_at, give_or_take_min, written_at, body, version) VALUES (?, ?, ?, ?, ?, ?, ?)',
  );
  const eventById = db.prepare<[string], EventRow>('SELECT * FROM batch_event WHERE id = ?');
  const eventsOf = db.prepare<[string], EventRow>('SELECT * FROM batch_event WHERE batch_id = ? ORDER BY seq');
  const countEvents = db.prepare<[string], { n: number }>('SELECT COUNT(*) AS n FROM batch_event WHERE batch_id = ?');
  const summaries = db.prepare<[], SummaryRow>(`
    SELECT b.*, COALESCE((SELECT MAX(seq) FROM batch_event e WHERE e.batch_id = b.id), 0) AS last_seq,
      s.upto_seq, s.version AS summary_version, s.model, s.body AS summary
    FROM batch b LEFT JOIN batch_summary s ON s.batch_id = b.id ORDER BY b.number DESC`);
  const saveSummary = db.prepare(`
    INSERT INTO batch_summary (batch_id, upto_seq, version, model, body) VALUES (?, ?, ?, ?, ?)
    ON CONFLICT (batch_id) DO UPDATE SET upto_seq = excluded.upto_seq, version = excluded.version, model = excluded.model, body = excluded.body`);

  function one(id: string): Result<BatchAnswer> {
    const row = batchById.get(id);
    if (!row) return fail('not-found', `There is no batch ${id.slice(0, 60)}.`);
    return ok({ ...toBatch(row), events: eventsOf.all(id).map(toEvent) });
  }

  /** All batches, newest first; only those changed since their last summary are folded again. */
  function list(): readonly BatchSummary[] {
    return summaries.all().map((row) => {
      const fresh =
        row.summary !== null &&
        row.upto_seq === row.last_seq &&
        row.summary_version === row.version &&
        row.model === SUMMARY_MODEL;
      if (fresh) return JSON.parse(row.summary as string) as BatchSummary;
      const summary = summarise({ ...toBatch(row), events: eventsOf.all(row.id).map(toEvent) });
      saveSummary.run(row.id, row.last_seq, row.version, SUMMARY_MODEL, JSON.stringify(summary));
      return summary;
    });
  }

  const create = db.transaction((id: string, plan: Plan, at: string): Result<BatchAnswer> => {
    const before = batchById.get(id);
    if (before) {
      return before.plan === JSON.stringify(plan)
        ? one(id)
        : fail('id-taken', `The id ${id} already names another batch.`);
    }
    insertBatch.run(id, at, JSON.stringify(plan), PLAN_VERSION);
    return one(id);
  });

  const changePlan = db.transaction((id: string, plan: Plan, basedOn: number): Result<BatchAnswer> => {
    const now = one(id);
    if (!now.ok) return now;
    if ((countEvents.get(id)?.n ?? 0) > 0) {
      return fail('conflict', 'The run has begun, so its plan stands; what changes at the bench is entered there.');
    }
    if (updatePlan.run(JSON.stringify(plan), PLAN_VERSION, id, basedOn).changes === 0) {
      return fail(
        'conflict',
        'This plan was changed elsewhere since you opened it. Look at it again, then repeat your change.',
      );
    }
    return one(id);
  });

  /** All or nothing; events already there (a retry) are passed over. Additions are booked on their bottles in the same breath. */
  const append = db.transaction((id: string, events: readonly RunEvent[]): Result<{ readonly written: number }> => {
    // The plan is a few kilobytes that a plain reading does not need.
    if (!known.get(id)) return fail('not-found', `There is no batch ${id.slice(0, 60)}.`);
    const plan = () => planOf(batchById.get(id)!);
    let written = 0;
    for (const event of events) {
      const body = JSON.stringify(event.body);
      const before = eventById.get(event.id);
      if (before) {
        if (before.batch_id === id && before.body === body) continue;
        // A thrown refusal rolls the whole list back.
        throw new Refusal(fail('id-taken', `The id ${event.id} already names another entry.`));
      }
      if (event.body.kind === 'corrected' && eventById.get(event.body.of)?.batch_id !== id) {
        throw new Refusal(fail('not-found', 'The entry to correct is not one of this batch’s.', { field: 'body.of' }));
      }
      if (event.body.kind === 'added' || event.body.kind === 'enlarged') {
        const checked = checkEntry(plan(), event.body.kind === 'enlarged' ? eventsOf.all(id).map(toEvent) : [], event);
        if (!checked.ok) throw new Refusal(checked);
      }
      const uses = stockUseOf(id, plan, event, () => eventsOf.all(id).map(toEvent));
      insertEvent.run(
        event.id,
        id,
        event.happened.at,
        event.happened.giveOrTakeMin,
        event.writtenAt,
        body,
        EVENT_VERSION,
      );
      written += 1;
      for (const use of uses) {
        const booked = stock.append(use.bottleId, use.event);
        if (!booked.ok) throw new Refusal(booked);
      }
    }
    return ok({ written });
  });

  /** Part of a batch becomes the batch `otherId`; a repeat of the same asks nothing new. */
  const split = db.transaction(
    (id: string, otherId: string, share: number, why: string, at: string): Result<BatchAnswer> => {
      const here = one(id);
      if (!here.ok) return here;
      if (known.get(otherId)) return one(otherId);
      const parted = splitRun({ ...here.value, batchId: id }, share, otherId, why);
      if (!parted.ok) return parted;
      const made = create(otherId, parted.value.plan, at);
      if (!made.ok) return made;
      write(otherId, parted.value.there, at, `${otherId}b`);
      write(id, parted.value.here, at, `${otherId}a`);
      return one(otherId);
    },
  );

  /** The batch `fromId` goes into this one, whole. */
  const join = db.transaction((id: string, fromId: string, eventId: string, at: string): Result<BatchAnswer> => {
    const into = one(id);
    const from = one(fromId);
    if (!into.ok) return into;
    if (!from.ok) return from;
    if (eventById.get(`${eventId}i0`)) return into; // a retry
    const joined = joinRuns({ ...into.value, batchId: id }, { ...from.value, batchId: fromId });
    if (!joined.ok) return joined;
    write(id, joined.value.into, at, `${eventId}i`);
    write(fromId, joined.value.from, at, `${eventId}f`);
    return one(id);
  });

  function write(batchId: string, bodies: readonly EventBody[], at: string, idStem: string): void {
    const stem = idStem.replace(/^(batch|ev)_/, 'ev_');
    for (const [i, body] of bodies.entries())
      insertEvent.run(`${stem}${i}`, batchId, at, 0, at, JSON.stringify(body), EVENT_VERSION);
  }

  return {
    one,
    split,
    join,
    list,
    create,
    changePlan,
    append: (id: string, events: readonly RunEvent[]): Result<{ readonly written: number }> => {
      try {
        return append(id, events);
      } catch (error) {
        if (error instanceof Refusal) return error.result;
        throw error;
      }
    },
  };
}

class Refusal extends Error {
  readonly result: Result<never>;
  constructor(result: Result<never>) {
    super('refused');
    this.result = result;
  }
}

const ROUTES_1 = new Map(routes1.map((route) => [route.id, route]));

function planOf({ plan, plan_version }: BatchRow): Plan {
  return planFrom(JSON.parse(plan) as Stored, plan_version, (id) => ROUTES_1.get(id));
}

function toBatch(row: BatchRow): Omit<BatchAnswer, 'events'> {
  return {
    id: row.id,
    number: row.number,
    version: row.version,
    createdAt: row.created_at,
    plan: planOf(row),
  };
}

function toEvent(row: EventRow): RunEvent {
  return {
    id: row.id,
    happened: { at: row.happened_at, giveOrTakeMin: row.give_or_take_min },
    writtenAt: row.written_at,
    body: eventBodyFrom(JSON.parse(row.body) as Stored, row.version),
  };
}
