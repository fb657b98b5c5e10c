import { fail, ok, type Result } from '#base/problem';
import type { AssayAnswer, AssaySummary } from '#contract/api';
import type { BottleEvent } from '#matter/stock';
import {
  ASSAY_VERSION,
  type AssayBody,
  type AssayEntry,
  type AssayPlan,
  appliedOf,
  assayState,
  entryCheck,
} from '#model/assay';
import { immediate } from '../db/immediate.ts';
import type { Db } from '../db/open.ts';
import type { StockStore } from '../stock/store.ts';

interface AssayRow {
  id: string;
  bottle_id: string;
  created_at: string;
  plan: string;
}

interface EntryRow {
  id: string;
  assay_id: string;
  happened_at: string;
  body: string;
}

export type AssayStore = ReturnType<typeof assayStore>;

/** Assays: a plan that stands once it is made, and entries that are only added. Applying one writes on its bottle in the same breath. */
export function assayStore(db: Db, stock: StockStore) {
  const insert = db.prepare('INSERT INTO assay (id, bottle_id, created_at, plan, plan_version) VALUES (?, ?, ?, ?, ?)');
  const byId = db.prepare<[string], AssayRow>('SELECT * FROM assay WHERE id = ?');
  const all = db.prepare<[], AssayRow>('SELECT * FROM assay ORDER BY created_at DESC, id');
  const insertEntry = db.prepare(
    'INSERT INTO assay_entry (id, assay_id, happened_at, written_at, body, version) VALUES (?, ?, ?, ?, ?, ?)',
  );
  const entryById = db.prepare<[string], EntryRow>('SELECT * FROM assay_entry WHERE id = ?');
  const entriesOf = db.prepare<[string], EntryRow>('SELECT * FROM assay_entry WHERE assay_id = ? ORDER BY seq');

  function one(id: string): Result<AssayAnswer> {
    const row = byId.get(id);
    return row ? ok(answerOf(row)) : fail('not-found', `There is no assay ${id.slice(0, 60)}.`);
  }

  function answerOf(row: AssayRow): AssayAnswer {
    return {
      id: row.id,
      createdAt: row.created_at,
      plan: JSON.parse(row.plan) as AssayPlan,
      entries: entriesOf.all(row.id).map(toEntry),
    };
  }

  function list(): readonly AssaySummary[] {
    return all.all().map((row) => summaryOf(answerOf(row)));
  }

  const create = immediate(db, (plan: AssayPlan, at: string): Result<AssayAnswer> => {
    const text = JSON.stringify(plan);
    const before = byId.get(plan.id);
    if (before)
      return before.plan === text ? one(plan.id) : fail('id-taken', `The id ${plan.id} already names another assay.`);
    const bottle = stock.one(plan.bottle.id);
    if (!bottle.ok) return bottle;
    const sound = assayState(plan, []);
    if (!sound.ok) return sound;
    insert.run(plan.id, plan.bottle.id, at, text, ASSAY_VERSION);
    return one(plan.id);
  });

  /** All or nothing; entries already there (a retry) are passed over. */
  const append = immediate(
    db,
    (id: string, entries: readonly AssayEntry[], at: string): Result<{ readonly written: number }> => {
      const assay = one(id);
      if (!assay.ok) return assay;
      const known = [...assay.value.entries];
      let written = 0;
      for (const entry of entries) {
        const body = JSON.stringify(entry.body);
        const before = entryById.get(entry.id);
        if (before?.assay_id === id && before.body === body) continue;
        if (before) throw new Refusal(fail('id-taken', `The id ${entry.id} already names another entry.`));
        const checked = entryCheck(assay.value.plan, known, entry.body);
        if (!checked.ok) throw new Refusal(checked);
        insertEntry.run(entry.id, id, entry.happenedAt, at, body, ASSAY_VERSION);
        known.push(entry);
        written += 1;
      }
      return ok({ written });
    },
  );

  /** Writes its result on the bottle, books what was used, and says so in the assay. A retry does nothing twice. */
  const apply = immediate(db, (id: string, entryId: string, at: string): Result<AssayAnswer> => {
    const assay = one(id);
    if (!assay.ok) return assay;
    if (entryById.get(entryId)) return assay;
    const applied = appliedOf(assay.value.plan, assay.value.entries);
    if (!applied.ok) return applied;
    const { body, uses } = applied.value;
    const event = (name: string, of: BottleEvent['body']): BottleEvent => ({
      id: `${entryId}_${name}`,
      happenedAt: at,
      writtenAt: at,
      body: of,
    });
    const first = !assay.value.entries.some((entry) => entry.body.kind === 'applied');
    // Written again after a further replicate, what was used is not booked again.
    for (const [i, { bottleId, grams }] of first ? uses.entries() : []) {
      const booked = stock.append(bottleId, event(`u${i}`, { kind: 'used', grams, forBatch: null, why: 'assay' }));
      if (!booked.ok && booked.problem.code !== 'not-found') throw new Refusal(booked);
    }
    const written = stock.append(assay.value.plan.bottle.id, event('b', body));
    if (!written.ok) throw new Refusal(written);
    const said: AssayBody = { kind: 'applied', bottleEventId: `${entryId}_b`, said: body.said };
    insertEntry.run(entryId, id, at, at, JSON.stringify(said), ASSAY_VERSION);
    return one(id);
  });

  return { one, list, create: undone(create), append: undone(append), apply: undone(apply) };
}

/** Thrown inside a transaction, so that it is rolled back as a whole. */
class Refusal extends Error {
  readonly result: Result<never>;
  constructor(result: Result<never>) {
    super('refused');
    this.result = result;
  }
}

function undone<A extends readonly unknown[], T>(act: (...args: A) => Result<T>) {
  return (...args: A): Result<T> => {
    try {
      return act(...args);
    } catch (error) {
      if (error instanceof Refusal) return error.result;
      throw error;
    }
  };
}

function toEntry(row: EntryRow): AssayEntry {
  return { id: row.id, happenedAt: row.happened_at, body: JSON.parse(row.body) as AssayBody };
}

function summaryOf({ id, createdAt, plan, entries }: AssayAnswer): AssaySummary {
  const state = assayState(plan, entries);
  const found = state.ok ? state.value : undefined;
  const applied = appliedOf(plan, entries);
  return {
    id,
    createdAt,
    day: plan.day,
    bottleId: plan.bottle.id,
    bottleName: plan.bottle.card.name,
    method: found?.title ?? plan.methodId,
    replicates: found?.replicates.filter(({ counts }) => counts).length ?? 0,
    found: applied.ok ? applied.value.body.said : null,
    applied: found?.applied !== null && found !== undefined,
    suspect: found?.statistics?.outlier !== null && found?.statistics !== null && found !== undefined,
  };
}
