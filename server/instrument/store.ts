import type { FeedReading } from '#contract/api';
import type { Instant } from '#core/still';
import { immediate } from '../db/immediate.ts';
import type { Db } from '../db/open.ts';

interface FeedRow {
  batch_id: string;
  kind: 'simulated' | 'replay';
  speed: number;
  running: 0 | 1;
  state: string;
  started_at: string;
}

interface ReadingRow {
  seq: number;
  at: string;
  minutes: number;
  head_c: number;
  pot_c: number;
  mass_g: number;
  watts: number;
  receiver: number;
}

export interface KeptFeed {
  readonly batchId: string;
  readonly kind: FeedRow['kind'];
  readonly speed: number;
  readonly running: boolean;
  readonly state: object;
  readonly startedAt: string;
}

export type InstrumentStore = ReturnType<typeof instrumentStore>;

/** Feeds and what they showed; readings are only added. */
export function instrumentStore(db: Db) {
  const byBatch = db.prepare<[string], FeedRow>('SELECT * FROM instrument_feed WHERE batch_id = ?');
  const running = db.prepare<[], FeedRow>('SELECT * FROM instrument_feed WHERE running = 1');
  const put = db.prepare(`
    INSERT INTO instrument_feed (batch_id, kind, speed, running, state, started_at) VALUES (?, ?, ?, ?, ?, ?)
    ON CONFLICT (batch_id) DO UPDATE SET kind = excluded.kind, speed = excluded.speed, running = excluded.running,
      state = excluded.state, started_at = excluded.started_at`);
  const lastSeq = db.prepare<[string], { seq: number | null }>(
    'SELECT MAX(seq) AS seq FROM instrument_reading WHERE batch_id = ?',
  );
  const insert = db.prepare(
    'INSERT INTO instrument_reading (batch_id, seq, at, minutes, head_c, pot_c, mass_g, watts, receiver) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)',
  );
  const after = db.prepare<[string, number], ReadingRow>(
    'SELECT * FROM instrument_reading WHERE batch_id = ? AND seq > ? ORDER BY seq',
  );
  // Every nth, and every change of receiver: a switch must not fall between.
  const thinned = db.prepare<{ batch: string; after: number; every: number }, ReadingRow>(`
    SELECT * FROM (
      SELECT *, LAG(receiver) OVER (ORDER BY seq) AS was, LEAD(receiver) OVER (ORDER BY seq) AS next, MAX(seq) OVER () AS last
      FROM instrument_reading WHERE batch_id = @batch AND seq > @after
    ) WHERE seq % @every = 0 OR seq = last OR receiver IS NOT was OR (next IS NOT NULL AND receiver IS NOT next)
    ORDER BY seq`);

  const toFeed = (row: FeedRow): KeptFeed => ({
    batchId: row.batch_id,
    kind: row.kind,
    speed: row.speed,
    running: row.running === 1,
    state: JSON.parse(row.state) as object,
    startedAt: row.started_at,
  });
  const toReading = (row: ReadingRow): FeedReading => ({
    seq: row.seq,
    at: row.at,
    minutes: row.minutes,
    headC: row.head_c,
    potC: row.pot_c,
    massG: row.mass_g,
    watts: row.watts,
    receiver: row.receiver,
  });
  const last = (batchId: string) => lastSeq.get(batchId)?.seq ?? 0;

  return {
    feed: (batchId: string): KeptFeed | undefined => {
      const row = byBatch.get(batchId);
      return row && toFeed(row);
    },
    running: (): readonly KeptFeed[] => running.all().map(toFeed),
    last,
    keep: (feed: KeptFeed): void => {
      put.run(feed.batchId, feed.kind, feed.speed, feed.running ? 1 : 0, JSON.stringify(feed.state), feed.startedAt);
    },
    /** Adds what was shown, and keeps how the feed stands, in one breath. */
    add: immediate(db, (feed: KeptFeed, instants: readonly Instant[], at: string): readonly FeedReading[] => {
      let seq = last(feed.batchId);
      const found = instants.map((each): FeedReading => ({ seq: ++seq, at, ...each }));
      for (const each of found)
        insert.run(
          feed.batchId,
          each.seq,
          at,
          each.minutes,
          each.headC,
          each.potC,
          each.massG,
          each.watts,
          each.receiver,
        );
      put.run(feed.batchId, feed.kind, feed.speed, feed.running ? 1 : 0, JSON.stringify(feed.state), feed.startedAt);
      return found;
    }),
    /** Adds what was shown before there was a feed, each with its own instant. */
    addAll: immediate(db, (batchId: string, instants: readonly (Instant & { readonly at: string })[]): void => {
      let seq = last(batchId);
      for (const each of instants)
        insert.run(batchId, ++seq, each.at, each.minutes, each.headC, each.potC, each.massG, each.watts, each.receiver);
    }),
    /** What was shown after a reading: all of it, or thinned to about so many. */
    readings: (batchId: string, from: number, points: number | null): readonly FeedReading[] => {
      const all = last(batchId) - from;
      if (points === null || all <= points) return after.all(batchId, from).map(toReading);
      return thinned.all({ batch: batchId, after: from, every: Math.ceil(all / points) }).map(toReading);
    },
  };
}
