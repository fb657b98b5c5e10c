import { existsSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';

/** Stands beside the notebook while it is open, and says which file is. */
const OPEN = 'open.json';

/**
 * Holds a notebook for this process alone: a lock of the file system, through SQLite, so that it is gone with the process however
 * that ends. Throws a sentence where another holds it, or where it is a copy that was made while it was open (which may be
 * replaced all the same).
 */
export function holdNotebook(home: string, { replacing = false } = {}): () => void {
  const lock = new Database(join(home, 'in-use.lock'), { timeout: 0 });
  try {
    lock.exec('BEGIN EXCLUSIVE');
  } catch {
    lock.close();
    throw new Error(
      `The notebook in ${home} is open in another Earnest Still. Close that one first, or choose another with EARNEST_HOME=…`,
    );
  }
  try {
    if (!replacing) refuseTornCopy(home);
  } catch (error) {
    lock.close();
    throw error;
  }
  return () => {
    rmSync(join(home, OPEN), { force: true });
    lock.close();
  };
}

/** Says that the notebook in this folder is open: a copy of the folder that is made now tells by it that it is one. */
export function markOpen(home: string): void {
  writeFileSync(join(home, OPEN), JSON.stringify({ file: fileOf(home) }), { mode: 0o600 });
}

/**
 * Its database and its write-ahead file are copied one after the other, and may be of two different moments: what was entered
 * last would be lost, or worse. A server that was killed leaves the mark too, but on the very same file.
 */
function refuseTornCopy(home: string): void {
  const mark = join(home, OPEN);
  if (!existsSync(mark) || !existsSync(join(home, 'still.db'))) return;
  let file: unknown;
  try {
    file = (JSON.parse(readFileSync(mark, 'utf8')) as { file?: unknown }).file;
  } catch {
    return;
  }
  if (file === fileOf(home)) return;
  throw new Error(
    `The folder ${home} was copied while its notebook was open: the copy may lack what was entered last, or be torn. ` +
      'Close the notebook and copy again; or take a whole copy: npm run restore -- FILE, with a backup or one from its folder “copies”. ' +
      'If nothing was open when it was copied or moved, take open.json out of it and start again.',
  );
}

/** The file itself, not its name: a copy is another one. */
function fileOf(home: string): string {
  return String(statSync(join(home, 'still.db'), { bigint: true }).ino);
}
