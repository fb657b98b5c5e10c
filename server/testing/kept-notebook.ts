import { readFileSync } from 'node:fs';
import Database from 'better-sqlite3';
import { itemAt } from '#base/lookup';
import { type Db, migrate } from '../db/open.ts';

/** What an earlier build kept, and what it said of it. */
export interface KeptNotebook {
  readonly bottles: readonly {
    readonly id: string;
    readonly events: readonly { id: string; happenedAt: string; writtenAt: string; body: object }[];
  }[];
  readonly batches: readonly {
    readonly id: string;
    readonly number: number;
    readonly createdAt: string;
    readonly plan: object;
    readonly events: readonly {
      id: string;
      happened: { at: string; giveOrTakeMin: number };
      writtenAt: string;
      body: object;
    }[];
  }[];
  readonly bench: object;
  readonly lessons: readonly { id: string; routeId: string; step: string | null; text: string; batchId: string }[];
  readonly said: readonly KeptSaying[];
}

/** What the build that kept a batch said of it. */
export interface KeptSaying {
  readonly batchId: string;
  readonly title: string;
  readonly status: string;
  readonly abandonedFor: string | null;
  readonly startedAt: string | null;
  readonly finishedAt: string | null;
  readonly steps: readonly { readonly key: string; readonly status: string; readonly title: string }[];
  readonly additions: readonly {
    readonly role: string;
    readonly doseG: number;
    readonly actualG: number | null;
    readonly limiting: boolean;
  }[];
  readonly product: number | null;
  readonly theory: number | null;
  readonly expectedPct: number | null;
  readonly madePct: number | null;
  readonly yieldPct: number | null;
  readonly yieldSd: number | null;
  readonly got: number | null;
  readonly hydrate: string | null;
  readonly portions: readonly (number | null)[];
  readonly bottles: readonly string[];
  readonly log: number;
}

export function keptNotebook(version: number): KeptNotebook {
  return JSON.parse(readFileSync(new URL(`./kept/notebook-${version}.json`, import.meta.url), 'utf8')) as KeptNotebook;
}

/** A kept notebook in the database schema that it was written under, written as that build wrote it. */
export function keptDb(kept: KeptNotebook, schema: number): Db {
  const db = new Database(':memory:');
  db.pragma('foreign_keys = ON');
  migrate(db, undefined, schema);
  const bottle = db.prepare('INSERT INTO bottle (id, created_at) VALUES (?, ?)');
  const bottleEvent = db.prepare(
    'INSERT INTO bottle_event (id, bottle_id, happened_at, written_at, body) VALUES (?, ?, ?, ?, ?)',
  );
  for (const { id, events } of kept.bottles) {
    bottle.run(id, itemAt(events, 0).writtenAt);
    for (const each of events) bottleEvent.run(each.id, id, each.happenedAt, each.writtenAt, JSON.stringify(each.body));
  }
  const batch = db.prepare('INSERT INTO batch (id, number, version, created_at, plan) VALUES (?, ?, 1, ?, ?)');
  const batchEvent = db.prepare(
    'INSERT INTO batch_event (id, batch_id, happened_at, give_or_take_min, written_at, body) VALUES (?, ?, ?, ?, ?, ?)',
  );
  for (const { id, number, createdAt, plan, events } of kept.batches) {
    batch.run(id, number, createdAt, JSON.stringify(plan));
    for (const { id: eventId, happened, writtenAt, body } of events)
      batchEvent.run(eventId, id, happened.at, happened.giveOrTakeMin, writtenAt, JSON.stringify(body));
  }
  db.prepare('INSERT INTO bench (id, version, body) VALUES (1, 1, ?)').run(JSON.stringify(kept.bench));
  const lesson = db.prepare(
    'INSERT INTO lesson (id, route_id, step, bottle_id, batch_id, text, written_at, retired_at) VALUES (?, ?, ?, NULL, ?, ?, ?, NULL)',
  );
  for (const { id, routeId, step, batchId, text } of kept.lessons)
    lesson.run(id, routeId, step, batchId, text, '2026-02-02T08:00:00.000Z');
  migrate(db);
  return db;
}
