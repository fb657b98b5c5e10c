import { existsSync, mkdirSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import Database from 'better-sqlite3';

export type Db = Database.Database;

const MIGRATIONS = fileURLToPath(new URL('./migrations/', import.meta.url));

/**
 * Opens (or makes) a notebook and brings it to the newest schema. WAL with synchronous FULL: an acknowledged write has
 * reached the disk, so neither a killed process nor a power cut loses it.
 */
export function openDb(file: string): Db {
  const db = new Database(file);
  db.pragma('journal_mode = WAL');
  db.pragma('synchronous = FULL');
  db.pragma('foreign_keys = ON');
  db.pragma('busy_timeout = 5000');
  copyBeforeMigration(db, file);
  migrate(db);
  return db;
}

/** A notebook of an earlier schema is copied before it is changed. */
function copyBeforeMigration(db: Db, file: string): void {
  const current = db.pragma('user_version', { simple: true }) as number;
  if (file === ':memory:' || current === 0 || current >= newestSchema()) return;
  const folder = join(dirname(file), 'copies');
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const copy = join(folder, `still-before-schema-${newestSchema()}.db`);
  if (!existsSync(copy)) db.prepare('VACUUM INTO ?').run(copy);
}

function migrationFiles(folder: string): readonly string[] {
  return readdirSync(folder)
    .filter((name) => /^\d{3}_.*\.sql$/.test(name))
    .sort();
}

/** The newest schema that is known here. */
export function newestSchema(folder = MIGRATIONS): number {
  return Number(migrationFiles(folder).at(-1)?.slice(0, 3) ?? 0);
}

/**
 * Applies the migrations that are missing, each in its own transaction, the last being `upTo`; refuses a notebook from a
 * newer version.
 */
export function migrate(db: Db, folder = MIGRATIONS, upTo = Number.POSITIVE_INFINITY): void {
  const files = migrationFiles(folder);
  const newest = newestSchema(folder);
  const current = db.pragma('user_version', { simple: true }) as number;
  if (current > newest) {
    throw new Error(
      `This notebook was written by a newer Earnest Still (schema ${current}, this one knows ${newest}).`,
    );
  }
  for (const name of files) {
    const version = Number(name.slice(0, 3));
    if (version <= current || version > upTo) continue;
    db.transaction(() => {
      db.exec(readFileSync(`${folder}/${name}`, 'utf8'));
      db.pragma(`user_version = ${version}`);
    })();
  }
}
