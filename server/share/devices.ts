import { createHash, randomBytes } from 'node:crypto';
import type { DeviceAnswer } from '#contract/api';
import { immediate } from '../db/immediate.ts';
import type { Db } from '../db/open.ts';

interface Row {
  id: string;
  name: string;
  paired_at: string;
  seen_at: string;
}

/** A device that asks often is written down as seen this seldom, ms. */
const SEEN_EVERY_MS = 60_000;

export type Devices = ReturnType<typeof deviceStore>;

/** Phones and tablets that were paired. Of a token its hash alone is kept: who reads the notebook’s file has none. */
export function deviceStore(db: Db) {
  const insert = db.prepare('INSERT INTO device (id, name, token_hash, paired_at, seen_at) VALUES (?, ?, ?, ?, ?)');
  const byHash = db.prepare<[string], Row>('SELECT * FROM device WHERE token_hash = ?');
  const all = db.prepare<[], Row>('SELECT * FROM device ORDER BY paired_at DESC');
  const seen = db.prepare('UPDATE device SET seen_at = ? WHERE id = ?');
  const drop = db.prepare('DELETE FROM device WHERE id = ?');

  const add = immediate(db, (name: string, at: string): string => {
    const token = randomBytes(32).toString('base64url');
    insert.run(`dev_${randomBytes(9).toString('base64url')}`, name, hashOf(token), at, at);
    return token;
  });

  return {
    /** Pairs a device; its token is told once. */
    add,
    /** The device that a token is of; undefined where it was withdrawn, or never was one. */
    of: (token: string, at: string): DeviceAnswer | undefined => {
      const row = byHash.get(hashOf(token));
      if (row && Date.parse(at) - Date.parse(row.seen_at) > SEEN_EVERY_MS) seen.run(at, row.id);
      return row && toAnswer(row);
    },
    all: (): readonly DeviceAnswer[] => all.all().map(toAnswer),
    /** True where there was one. */
    withdraw: (id: string): boolean => drop.run(id).changes > 0,
  };
}

function hashOf(token: string): string {
  return createHash('sha256').update(token).digest('hex');
}

function toAnswer({ id, name, paired_at, seen_at }: Row): DeviceAnswer {
  return { id, name, pairedAt: paired_at, seenAt: seen_at };
}
