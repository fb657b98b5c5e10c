import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import express, { Router } from 'express';
import { problem } from '#base/problem';
import type { BackupAnswer, CopyAnswer } from '#contract/api';
import type { Db } from '../db/open.ts';
import { notFound, sendProblem } from '../http/problem.ts';
import { backupOf, countsOf, lookAtBackup } from './archive.ts';
import { copiesIn } from './copies.ts';

/** As large as a body may be that holds a whole notebook. */
export const ARCHIVE_LIMIT = '1gb';

/** What browsers call an archive, or a database they do not know. */
export const ARCHIVE_TYPES = [
  'application/zip',
  'application/x-zip-compressed',
  'application/octet-stream',
  'application/vnd.sqlite3',
  'application/x-sqlite3',
];

interface Keeping {
  readonly db: Db;
  readonly home: string;
  readonly now: () => string;
  /** Puts a backup in the place of the notebook that is open, and opens that. */
  readonly restore: (archive: Uint8Array) => void;
}

/** A backup of the whole notebook to take away, made and opened again while it is asked for; and the way back. */
export function backupRoutes({ db, home, now, restore }: Keeping): Router {
  const router = Router();
  router.get('/', async (_req, res) => {
    const at = now();
    const archive = await backupOf(db, home, at);
    res
      .type('application/zip')
      .set('Content-Disposition', `attachment; filename="earnest-still-${at.slice(0, 10)}.zip"`)
      .send(Buffer.from(archive));
  });

  router.get('/copies', (_req, res) => {
    res.json(copiesIn(home) satisfies readonly CopyAnswer[]);
  });
  router.get('/copies/:name', (req, res, next) => {
    const copy = copiesIn(home).find(({ name }) => name === req.params.name);
    if (!copy) return notFound(req, res, next);
    res.type('application/vnd.sqlite3').attachment(copy.name);
    res.send(readFileSync(join(home, 'copies', copy.name)));
  });

  const archive = express.raw({ type: ARCHIVE_TYPES, limit: ARCHIVE_LIMIT });

  /** What a backup holds, beside what is here: asked before it is put back. */
  router.post('/look', archive, (req, res) => {
    const found = said(() => lookAtBackup(bytesOf(req.body)));
    if (typeof found === 'string') return sendProblem(res, problem('invalid-input', found));
    res.json({ ...found, here: countsOf(db) } satisfies BackupAnswer);
  });

  router.post('/restore', archive, (req, res) => {
    const found = said(() => lookAtBackup(bytesOf(req.body)));
    if (typeof found === 'string') return sendProblem(res, problem('invalid-input', found));
    restore(bytesOf(req.body));
    res.json(found.holds);
  });
  return router;
}

export function bytesOf(body: unknown): Uint8Array {
  return Buffer.isBuffer(body) ? body : new Uint8Array();
}

/** What was found, or the sentence on why it is nothing. */
function said<T>(look: () => T): T | string {
  try {
    return look();
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  }
}
