import { randomBytes } from 'node:crypto';
import { NO_CHOICES, type WeekChoices } from '#run/week';
import { immediate } from '../db/immediate.ts';
import type { Db } from '../db/open.ts';

interface Row {
  readonly version: number;
  readonly body: string;
}

/** A notice that was seen; put off until an instant where that is said. */
export interface Seen {
  readonly of: string;
  readonly at: string;
  readonly until: string | null;
  readonly reason: string;
}

/** Choices of the week, the key of its feed, and what was seen of what was told. */
export function weekStore(db: Db) {
  const read = db.prepare<[], Row>('SELECT version, body FROM week WHERE id = 1');
  const insert = db.prepare('INSERT INTO week (id, version, body) VALUES (1, 1, ?)');
  const update = db.prepare('UPDATE week SET version = version + 1, body = ? WHERE id = 1');
  const key = db.prepare<[], string>('SELECT key FROM week_feed WHERE id = 1').pluck();
  const setKey = db.prepare('INSERT OR REPLACE INTO week_feed (id, key, made_at) VALUES (1, ?, ?)');
  const dropKey = db.prepare('DELETE FROM week_feed');
  const addSeen = db.prepare(
    'INSERT INTO notice (id, of, at, until, reason) VALUES (@id, @of, @at, @until, @reason) ON CONFLICT (id) DO NOTHING',
  );
  // The newest of each.
  const seen = db.prepare<[string], Seen>(
    'SELECT of, at, until, reason FROM notice WHERE seq IN (SELECT MAX(seq) FROM notice WHERE at >= ? GROUP BY of)',
  );
  const current = (): { readonly version: number; readonly choices: WeekChoices } => {
    const row = read.get();
    return row
      ? { version: row.version, choices: { ...NO_CHOICES, ...JSON.parse(row.body) } }
      : { version: 0, choices: NO_CHOICES };
  };
  return {
    current,
    /** Undefined where another has changed them since. */
    change: immediate(db, (body: string, basedOn: number) => {
      if (current().version !== basedOn) return undefined;
      if (basedOn === 0) insert.run(body);
      else update.run(body);
      return current();
    }),
    feedKey: (): string | null => key.get() ?? null,
    newFeedKey: (now: string): string => {
      const made = randomBytes(24).toString('base64url');
      setKey.run(made, now);
      return made;
    },
    dropFeedKey: (): void => void dropKey.run(),
    see: (notice: Seen & { readonly id: string }): void => void addSeen.run(notice),
    seenSince: (at: string): readonly Seen[] => seen.all(at),
  };
}
export type WeekStore = ReturnType<typeof weekStore>;
