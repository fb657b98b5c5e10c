import type { AnyFeedReading, CellFeedReading, FeedReading } from '#contract/api';
import { immediate } from '../db/immediate.ts';
import type { Db } from '../db/open.ts';
import type { Shown } from './instrument.ts';

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

interface CellRow {
  seq: number;
  at: string;
  minutes: number;
  volts: number;
  amps: number;
  temp_c: number;
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
  const lastSeq = db.prepare<[string, string], { seq: number | null }>(`
    SELECT MAX(seq) AS seq FROM (
      SELECT MAX(seq) AS seq FROM instrument_reading WHERE batch_id = ?
      UNION ALL SELECT MAX(seq) AS seq FROM cell_reading WHERE batch_id = ?)`);
  const insertCell = db.prepare(
    'INSERT INTO cell_reading (batch_id, seq, at, minutes, volts, amps, temp_c) VALUES (?, ?, ?, ?, ?, ?, ?)',
  );
  const cellAfter = db.prepare<{ batch: string; after: number; every: number }, CellRow>(`
    SELECT * FROM cell_reading WHERE batch_id = @batch AND seq > @after
      AND (seq % @every = 0 OR seq = (SELECT MAX(seq) FROM cell_reading WHERE batch_id = @batch)) ORDER BY seq`);
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
  const toCell = ({ seq, at, minutes, volts, amps, temp_c: tempC }: CellRow): CellFeedReading => ({
    seq,
    at,
    minutes,
    volts,
    amps,
    tempC,
  });
  const last = (batchId: string) => lastSeq.get(batchId, batchId)?.seq ?? 0;
  const keepOne = (batchId: string, each: AnyFeedReading): void => {
    const { seq, at, minutes } = each;
    if ('volts' in each) insertCell.run(batchId, seq, at, minutes, each.volts, each.amps, each.tempC);
    else insert.run(batchId, seq, at, minutes, each.headC, each.potC, each.massG, each.watts, each.receiver);
  };

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
    add: immediate(db, (feed: KeptFeed, instants: readonly Shown[], at: string): readonly AnyFeedReading[] => {
      let seq = last(feed.batchId);
      const found = instants.map((each): AnyFeedReading => ({ seq: ++seq, at, ...each }));
      for (const each of found) keepOne(feed.batchId, each);
      put.run(feed.batchId, feed.kind, feed.speed, feed.running ? 1 : 0, JSON.stringify(feed.state), feed.startedAt);
      return found;
    }),
    /** Adds what was shown before there was a feed, each with its own instant. */
    addAll: immediate(db, (batchId: string, instants: readonly (Shown & { readonly at: string })[]): void => {
      let seq = last(batchId);
      for (const each of instants) keepOne(batchId, { ...each, seq: ++seq });
    }),
    /** What was shown after a reading: all of it, or thinned to about so many. */
    readings: (batchId: string, from: number, points: number | null): readonly AnyFeedReading[] => {
      const all = last(batchId) - from;
      const every = points === null || all <= points ? 1 : Math.ceil(all / points);
      const cell = cellAfter.all({ batch: batchId, after: from, every });
      if (cell.length > 0) return cell.map(toCell);
      if (points === null || all <= points) return after.all(batchId, from).map(toReading);
      return thinned.all({ batch: batchId, after: from, every: Math.ceil(all / points) }).map(toReading);
    },
  };
}
