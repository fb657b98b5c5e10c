import { must } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import type { BatchAnswer, BatchSummary } from '#contract/api';
import type { Join } from '#contract/bodies';
import { eventBodyFrom, planFrom, routes1, type Stored } from '#run/kept';
import type { EventBody, RunEvent } from '#run/log';
import { EVENT_VERSION } from '#run/log';
import type { Plan } from '#run/plan';
import { PLAN_VERSION } from '#run/plan';
import { checkEntry, joinRuns, type RunState, runState, splitRun } from '#run/state';
import { immediate } from '../db/immediate.ts';
import type { Db } from '../db/open.ts';
import type { StockStore } from '../stock/store.ts';
import { type SentAddition, sameAgain } from './same-again.ts';
import { bottleIn, stockUseOf } from './stock-use.ts';
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

interface SummaryRow extends Pick<BatchRow, 'id' | 'version'> {
  last_seq: number;
  upto_seq: number | null;
  summary_version: number | null;
  model: number | null;
  summary: string | null;
}

/** As long as one request folds what an upgrade made stale, ms. */
const SLICE_MS = 100;
/** So many are folded again while the page waits. */
const MOST_STALE = 20;
/** What a summary of an earlier build does not have yet. */
const OF_BEFORE = { vessel: null, residue: [], shows: { lossPct: null, boilGPerH: null, cellPct: null } } as const;

/** Runs whose state is kept folded: more than stand on a bench at once. */
const MOST_STATES = 100;

/** An entry as a page sends it: with the page it was made in, and whether it was asked about already. */
export type SentEvent = RunEvent & { readonly tab?: string | undefined; readonly again?: boolean | undefined };

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
    SELECT b.id, b.version, COALESCE((SELECT MAX(seq) FROM batch_event e WHERE e.batch_id = b.id), 0) AS last_seq,
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

  /**
   * All batches, newest first; only those changed since their last summary are folded again. After an upgrade all are stale: what
   * was said of them before is answered at once, and they are folded again in slices between requests.
   */
  function list(): readonly BatchSummary[] {
    const rows = summaries.all();
    const stale = rows.filter(({ summary, model }) => summary !== null && model !== SUMMARY_MODEL).length;
    // Asked for the first time after an upgrade, with years of them, the page waits for none.
    const until = performance.now() + (stale > MOST_STALE && !sliced ? 0 : SLICE_MS);
    sliced = true;
    let left = false;
    const all = rows.map((row) => {
      const changed = row.summary === null || row.upto_seq !== row.last_seq || row.summary_version !== row.version;
      if (!changed && row.model === SUMMARY_MODEL) return JSON.parse(row.summary as string) as BatchSummary;
      if (!changed && performance.now() > until) {
        left = true;
        return { ...OF_BEFORE, ...(JSON.parse(row.summary as string) as BatchSummary) };
      }
      return folded(row);
    });
    if (left && !slicing) {
      slicing = true;
      setTimeout(() => {
        slicing = false;
        // The notebook may have been closed meanwhile.
        if (db.open) list();
      }, SLICE_MS).unref();
    }
    return all;
  }

  let slicing = false;
  let sliced = false;

  function folded(row: SummaryRow): BatchSummary {
    const stored = batchById.get(row.id);
    if (!stored) throw new Error(`no batch ${row.id}`);
    const summary = summarise({ ...toBatch(stored), events: eventsOf.all(row.id).map(toEvent) });
    saveSummary.run(row.id, row.last_seq, row.version, SUMMARY_MODEL, JSON.stringify(summary));
    return summary;
  }

  const lastSeq = db.prepare<[string], { seq: number; version: number }>(
    'SELECT COALESCE((SELECT MAX(seq) FROM batch_event WHERE batch_id = b.id), 0) AS seq, b.version FROM batch b WHERE b.id = ?',
  );
  const plans = new Map<string, Plan>();
  const states = new Map<
    string,
    { readonly seq: number; readonly version: number; readonly state: Result<RunState> }
  >();

  /** The state of a run, folded once for as long as nothing is added to it. */
  function stateOf(id: string): { readonly plan: Plan; readonly state: Result<RunState> } | undefined {
    const at = lastSeq.get(id);
    const row = batchById.get(id);
    if (!at || !row) return undefined;
    const known = states.get(id);
    const plan = plans.get(`${id} ${at.version}`) ?? planOf(row);
    plans.set(`${id} ${at.version}`, plan);
    if (known && known.seq === at.seq && known.version === at.version) return { plan, state: known.state };
    const state = runState(plan, eventsOf.all(id).map(toEvent), 'as they are');
    if (states.size >= MOST_STATES) {
      states.clear();
      plans.clear();
    }
    states.set(id, { ...at, state });
    return { plan, state };
  }

  const create = immediate(db, (id: string, plan: Plan, at: string): Result<BatchAnswer> => {
    const before = batchById.get(id);
    if (before) {
      return before.plan === JSON.stringify(plan)
        ? one(id)
        : fail('id-taken', `The id ${id} already names another batch.`);
    }
    insertBatch.run(id, at, JSON.stringify(plan), PLAN_VERSION);
    return one(id);
  });

  const changePlan = immediate(db, (id: string, plan: Plan, basedOn: number): Result<BatchAnswer> => {
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
  const twins = sameAgain();

  const append = immediate(db, (id: string, events: readonly SentEvent[]): Result<{ readonly written: number }> => {
    // The plan is a few kilobytes that a plain reading does not need.
    if (!known.get(id)) return fail('not-found', `There is no batch ${id.slice(0, 60)}.`);
    const plan = () => planOf(must(batchById.get(id), 'batchById'));
    let written = 0;
    for (const sent of events) {
      const before = eventById.get(sent.id);
      if (before) {
        if (before.batch_id === id && sameAs(before.body, sent.body)) continue;
        // A thrown refusal rolls the whole list back.
        throw new Refusal(fail('id-taken', `The id ${sent.id} already names another entry.`));
      }
      const event = withBottle(sent, plan);
      const body = JSON.stringify(event.body);
      if (event.body.kind === 'corrected' && eventById.get(event.body.of)?.batch_id !== id) {
        throw new Refusal(fail('not-found', 'The entry to correct is not one of this batch’s.', { field: 'body.of' }));
      }
      if (event.body.kind === 'added' || event.body.kind === 'enlarged') {
        const checked = checkEntry(plan(), eventsOf.all(id).map(toEvent), event);
        if (!checked.ok) throw new Refusal(checked);
      }
      const twin = additionOf(sent);
      const once = twin ? twins.check(id, twin) : ok(true as const);
      if (!once.ok) throw new Refusal(once);
      const bottle = bottleIn(event);
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
      for (const use of [...bottle, ...uses]) {
        const booked = stock.append(use.bottleId, use.event);
        if (!booked.ok) throw new Refusal(booked);
      }
    }
    return ok({ written });
  });

  /** A bottle that the plan does not hold goes in as what it is on the shelf now, not as what its role is called. */
  function withBottle(event: RunEvent, plan: () => Plan): RunEvent {
    const { body } = event;
    if (body.kind !== 'added' || body.bottleId === null || body.stock) return event;
    if (Object.hasOwn(plan().stock, body.bottleId)) return event;
    const bottle = stock.one(body.bottleId);
    if (!bottle.ok) throw new Refusal({ ok: false, problem: { ...bottle.problem, field: 'body.bottleId' } });
    const { card, usedG } = bottle.value;
    return { ...event, body: { ...body, stock: { card, usedG } } };
  }

  /** Part of a batch becomes the batch `otherId`; a repeat of the same asks nothing new. */
  const split = immediate(
    db,
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
  const join = immediate(
    db,
    (id: string, { id: eventId, from: fromId, happened }: Join, at: string): Result<BatchAnswer> => {
      const into = one(id);
      const from = one(fromId);
      if (!into.ok) return into;
      if (!from.ok) return from;
      if (eventById.get(`${eventId}i0`)) return into; // a retry
      const joined = joinRuns({ ...into.value, batchId: id }, { ...from.value, batchId: fromId }, happened);
      if (!joined.ok) return joined;
      write(id, joined.value.into, at, `${eventId}i`);
      write(fromId, joined.value.from, at, `${eventId}f`);
      return one(id);
    },
  );

  function write(batchId: string, bodies: readonly EventBody[], at: string, idStem: string): void {
    const stem = idStem.replace(/^(batch|ev)_/, 'ev_');
    for (const [i, body] of bodies.entries())
      insertEvent.run(`${stem}${i}`, batchId, at, 0, at, JSON.stringify(body), EVENT_VERSION);
  }

  return {
    one,
    stateOf,
    split,
    join,
    list,
    create,
    changePlan,
    append: (id: string, events: readonly SentEvent[]): Result<{ readonly written: number }> => {
      try {
        const written = append(id, events);
        for (const twin of events.flatMap((each) => additionOf(each) ?? [])) twins.remember(id, twin);
        return written;
      } catch (error) {
        if (error instanceof Refusal) return error.result;
        throw error;
      }
    },
  };
}

function additionOf({ id, happened, body, tab, again = false }: SentEvent): SentAddition | undefined {
  return body.kind === 'added' ? { id, at: happened.at, body, tab, again } : undefined;
}

/** Whether an entry is sent again: the bottle that was filled in for it is not of its sender. */
function sameAs(kept: string, sent: EventBody): boolean {
  if (kept === JSON.stringify(sent)) return true;
  if (sent.kind !== 'added' || sent.stock) return false;
  const { stock: _, ...rest } = JSON.parse(kept) as Extract<EventBody, { kind: 'added' }>;
  return JSON.stringify(rest) === JSON.stringify(sent);
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
