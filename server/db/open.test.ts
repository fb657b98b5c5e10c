import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { describe, expect, it } from 'vitest';
import { migrate, openDb } from './open.ts';

const folder = () => mkdtempSync(join(tmpdir(), 'still-db-'));

describe('a notebook', () => {
  it('opens in WAL with full synchronisation, foreign keys and STRICT tables', () => {
    const db = openDb(join(folder(), 'still.db'));
    expect(db.pragma('journal_mode', { simple: true })).toBe('wal');
    expect(db.pragma('synchronous', { simple: true })).toBe(2);
    expect(db.pragma('foreign_keys', { simple: true })).toBe(1);
    const tables = db
      .prepare(
        "SELECT name, strict FROM pragma_table_list WHERE schema = 'main' AND type = 'table' AND name NOT LIKE 'sqlite_%'",
      )
      .all() as { name: string; strict: number }[];
    expect(tables.length).toBeGreaterThan(5);
    for (const table of tables) expect(table.strict, table.name).toBe(1);
    db.close();
  });

  it('is not migrated twice, and keeps what it holds', () => {
    const file = join(folder(), 'still.db');
    openDb(file).prepare("INSERT INTO bottle VALUES ('bottle_a', '2026')").run();
    expect(openDb(file).prepare('SELECT COUNT(*) AS n FROM bottle').get()).toEqual({ n: 1 });
  });

  it('takes each migration whole or not at all', () => {
    const migrations = folder();
    writeFileSync(join(migrations, '001_a.sql'), 'CREATE TABLE a (x INTEGER) STRICT;');
    writeFileSync(
      join(migrations, '002_b.sql'),
      'CREATE TABLE b (x INTEGER) STRICT; CREATE TABLE a (y INTEGER) STRICT;',
    );
    const db = new Database(':memory:');
    expect(() => migrate(db, migrations)).toThrow('already exists');
    expect(db.pragma('user_version', { simple: true })).toBe(1);
    expect(db.prepare("SELECT COUNT(*) AS n FROM sqlite_master WHERE name = 'b'").get()).toEqual({ n: 0 });
  });

  it('from a newer version is refused, not spoiled', () => {
    const db = new Database(':memory:');
    db.pragma('user_version = 99');
    expect(() => migrate(db)).toThrow('newer Earnest Still');
  });
});
