import { createHash } from 'node:crypto';
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import Database from 'better-sqlite3';
import { unzipSync, zipSync } from 'fflate';
import { must } from '#base/lookup';
import type { BackupAnswer, NotebookCounts } from '#contract/api';
import { type Db, newestSchema } from '../db/open.ts';

/** What a backup says of itself. */
interface Manifest {
  readonly format: 'earnest-still backup';
  readonly version: 1;
  readonly schema: number;
  readonly writtenAt: string;
  /** SHA-256 of each file in it. */
  readonly files: Readonly<Record<string, string>>;
}

const FORMAT = 'earnest-still backup';
const DB_NAME = 'still.db';
/** A photo as it lies in the notebook: no folder, no way out of its own. */
const PHOTO = /^attachments\/att_[\w-]{1,80}\.(?:jpg|png|webp)$/;
/** More than this unpacked is no notebook of a bench, bytes. */
const MOST_BYTES = 4 * 1024 ** 3;

const sha256 = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');

/**
 * Everything of a notebook in one archive: the database by its own online backup, so that it may be written to meanwhile, the
 * photos beside it, and what each file must come to. It is opened again before it is called one.
 */
export async function backupOf(db: Db, home: string, now: string): Promise<Uint8Array> {
  const aside = mkdtempSync(join(tmpdir(), 'still-backup-'));
  try {
    const copy = join(aside, DB_NAME);
    await db.backup(copy);
    const files: Record<string, Uint8Array> = { [DB_NAME]: readFileSync(copy) };
    const photos = join(home, 'attachments');
    if (existsSync(photos))
      for (const name of readdirSync(photos))
        if (PHOTO.test(`attachments/${name}`)) files[`attachments/${name}`] = readFileSync(join(photos, name));
    const manifest: Manifest = {
      format: FORMAT,
      version: 1,
      schema: db.pragma('user_version', { simple: true }) as number,
      writtenAt: now,
      files: Object.fromEntries(Object.entries(files).map(([name, bytes]) => [name, sha256(bytes)])),
    };
    // Photos do not shrink; the database does.
    const archive = zipSync(
      { 'manifest.json': new TextEncoder().encode(JSON.stringify(manifest, null, 2)), ...files },
      { level: 1 },
    );
    openBackup(archive);
    return archive;
  } finally {
    rmSync(aside, { recursive: true, force: true });
  }
}

/** A backup that was looked through: what is in it, file by file. Throws a sentence where it is none, or not whole. */
export function openBackup(archive: Uint8Array): {
  readonly manifest: Manifest;
  readonly files: ReadonlyMap<string, Uint8Array>;
} {
  let total = 0;
  let unpacked: Record<string, Uint8Array>;
  try {
    unpacked = unzipSync(archive, {
      filter: ({ name, originalSize }) => {
        total += originalSize;
        if (total > MOST_BYTES) throw new Error('too large');
        return name === 'manifest.json' || name === DB_NAME || PHOTO.test(name);
      },
    });
  } catch (error) {
    throw new Error(
      error instanceof Error && error.message === 'too large'
        ? 'This archive is larger than any notebook: nothing of it was taken.'
        : 'This is no archive that can be opened: a backup is the .zip that Earnest Still wrote.',
    );
  }
  const manifest = manifestOf(unpacked['manifest.json']);
  const files = new Map(Object.entries(unpacked).filter(([name]) => name !== 'manifest.json'));
  for (const [name, sum] of Object.entries(manifest.files)) {
    const bytes = files.get(name);
    if (!bytes || sha256(bytes) !== sum)
      throw new Error(`The backup is not whole: ${basename(name)} is missing or was changed.`);
  }
  if (manifest.schema > newestSchema())
    throw new Error(
      `This backup is of a newer Earnest Still (schema ${manifest.schema}, this one knows ${newestSchema()}).`,
    );
  checkDatabase(files.get(DB_NAME));
  return { manifest, files };
}

function manifestOf(bytes: Uint8Array | undefined): Manifest {
  try {
    const read = JSON.parse(new TextDecoder().decode(bytes)) as Manifest;
    if (read.format === FORMAT && read.version === 1 && typeof read.files === 'object') return read;
  } catch {
    // Told below.
  }
  throw new Error('This is no backup of Earnest Still: it does not say what it is.');
}

function checkDatabase(bytes: Uint8Array | undefined): void {
  if (!bytes) throw new Error('The backup holds no notebook.');
  const aside = mkdtempSync(join(tmpdir(), 'still-check-'));
  try {
    const file = join(aside, DB_NAME);
    writeFileSync(file, bytes);
    const db = new Database(file, { readonly: true });
    const found = db.pragma('integrity_check', { simple: true });
    db.close();
    if (found !== 'ok') throw new Error(String(found));
  } catch {
    throw new Error('The notebook in this backup is damaged: it was not taken.');
  } finally {
    rmSync(aside, { recursive: true, force: true });
  }
}

/** A copy of a notebook’s database alone, as the folder “copies” holds them, taken for a backup without photos. */
function copyAsFiles(bytes: Uint8Array): ReadonlyMap<string, Uint8Array> {
  checkDatabase(bytes);
  return new Map([[DB_NAME, bytes]]);
}

const SQLITE = 'SQLite format 3\u0000';

interface Opened {
  readonly files: ReadonlyMap<string, Uint8Array>;
  readonly photos: boolean;
  /** Null where it does not say. */
  readonly writtenAt: string | null;
}

function opened(archive: Uint8Array): Opened {
  if (Buffer.from(archive.subarray(0, SQLITE.length)).toString('latin1') === SQLITE)
    return { files: copyAsFiles(archive), photos: false, writtenAt: null };
  const { files, manifest } = openBackup(archive);
  return { files, photos: true, writtenAt: manifest.writtenAt };
}

/** What a backup holds, counted, and when it was written. Throws a sentence where it is none. */
export function lookAtBackup(archive: Uint8Array): Omit<BackupAnswer, 'here'> {
  const { files, photos, writtenAt } = opened(archive);
  const aside = mkdtempSync(join(tmpdir(), 'still-look-'));
  try {
    const file = join(aside, DB_NAME);
    writeFileSync(file, must(files.get(DB_NAME), 'files'));
    const db = new Database(file, { readonly: true });
    const holds = countsOf(db);
    db.close();
    return { writtenAt, photos, holds };
  } finally {
    rmSync(aside, { recursive: true, force: true });
  }
}

export function countsOf(db: Db): NotebookCounts {
  const count = (table: string) => (db.prepare(`SELECT COUNT(*) AS n FROM ${table}`).get() as { n: number }).n;
  return {
    bottles: count('bottle'),
    batches: count('batch'),
    entries: count('batch_event') + count('bottle_event'),
    photos: count('attachment'),
  };
}

/** Puts a backup in the place of a notebook that is not open. What was there is kept beside it, under the name that comes back. */
export function restoreBackup(archive: Uint8Array, home: string, now: string): string | null {
  const { files, photos } = opened(archive);
  mkdirSync(home, { recursive: true, mode: 0o700 });
  // A copy of the database has no photos of its own: those that are there stay.
  const before = keepBefore(home, now, photos);
  mkdirSync(join(home, 'attachments'), { recursive: true, mode: 0o700 });
  for (const [name, bytes] of files) {
    const to = join(home, name);
    writeFileSync(`${to}.part`, bytes, { flush: true, mode: 0o600 });
    if (name === DB_NAME) letNoDeviceIn(`${to}.part`);
    renameSync(`${to}.part`, to);
  }
  return before;
}

/** A device that was withdrawn since does not come back with an old backup: all pair again. */
function letNoDeviceIn(file: string): void {
  const db = new Database(file);
  db.pragma('journal_mode = DELETE');
  if (db.prepare("SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = 'device'").get())
    db.exec('DELETE FROM device');
  db.close();
}

function keepBefore(home: string, now: string, photosToo: boolean): string | null {
  const names = [DB_NAME, `${DB_NAME}-wal`, `${DB_NAME}-shm`, ...(photosToo ? ['attachments'] : [])];
  const there = names.filter((name) => existsSync(join(home, name)));
  if (there.length === 0) return null;
  const aside = join(home, `before-restore-${now.replace(/[:.]/g, '-')}`);
  mkdirSync(aside, { mode: 0o700 });
  for (const name of there) renameSync(join(home, name), join(aside, name));
  return aside;
}
