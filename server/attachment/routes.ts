import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import express, { Router } from 'express';
import { nanoid } from 'nanoid';
import { must } from '#base/lookup';
import { problem } from '#base/problem';
import type { PhotosAnswer } from '#contract/api';
import { attachmentId } from '#contract/bodies';
import { check } from '#contract/check';
import type { Db } from '../db/open.ts';
import { sendProblem } from '../http/problem.ts';
import { pictureCheck, smallPicture } from './picture.ts';

const TYPES: Readonly<Record<string, string>> = { 'image/jpeg': 'jpg', 'image/png': 'png', 'image/webp': 'webp' };
const LIMIT = 12 * 1024 * 1024;

interface Row {
  id: string;
  batch_id: string;
  media_type: string;
  sha256: string;
}

/** Photos: the bytes as a file in the notebook's home, their row in the notebook. Written to a side name first, so a kill leaves none half. */
export function attachmentRoutes(db: Db, home: string, now: () => string): Router {
  const folder = join(home, 'attachments');
  const find = db.prepare<[string], Row>('SELECT * FROM attachment WHERE id = ?');
  const insert = db.prepare(
    'INSERT INTO attachment (id, batch_id, media_type, size, sha256, written_at) VALUES (?, ?, ?, ?, ?, ?)',
  );
  const total = db.prepare<[string], { n: number; bytes: number }>(
    'SELECT COUNT(*) AS n, COALESCE(SUM(size), 0) AS bytes FROM attachment WHERE batch_id = ?',
  );
  const batch = db.prepare<[string], { id: string }>('SELECT id FROM batch WHERE id = ?');
  const router = Router();

  /** How many photos a batch has, and how much they take. */
  router.get('/', (req, res) => {
    const { n, bytes } = must(total.get(String(req.query.batch ?? '')), 'total');
    res.set('Cache-Control', 'no-store').json({ count: n, bytes } satisfies PhotosAnswer);
  });

  router.put('/:id', express.raw({ type: Object.keys(TYPES), limit: LIMIT }), async (req, res) => {
    const { id } = req.params;
    const named = check(attachmentId, id);
    const batchId = String(req.query.batch ?? '');
    const type = (req.headers['content-type'] ?? '').split(';')[0]?.trim() ?? '';
    if (!named.ok) return sendProblem(res, named.problem);
    if (!TYPES[type]) return sendProblem(res, problem('bad-media-type', 'Photos are kept as JPEG, PNG or WebP.'));
    if (!Buffer.isBuffer(req.body) || req.body.length === 0)
      return sendProblem(res, problem('missing-part', 'The photo is empty.'));
    if (!batch.get(batchId))
      return sendProblem(
        res,
        problem('not-found', 'There is no such batch to keep the photo with.', { field: 'batch' }),
      );
    const sha256 = createHash('sha256').update(req.body).digest('hex');
    const before = find.get(id);
    if (before && before.sha256 !== sha256)
      return sendProblem(res, problem('id-taken', 'That id already names another photo.'));
    const sound = before ? { ok: true as const } : await pictureCheck(req.body, type);
    if (!sound.ok) return sendProblem(res, sound.problem);
    // Looked at again: the same may have come twice meanwhile.
    if (!find.get(id)) {
      mkdirSync(folder, { recursive: true });
      const path = fileOf(folder, id, type);
      writeFileSync(`${path}.part`, req.body, { flush: true });
      renameSync(`${path}.part`, path);
      insert.run(id, batchId, type, req.body.length, sha256, now());
    }
    res.status(201).json({ id });
  });

  router.get('/:id', (req, res) => {
    const row = find.get(req.params.id);
    const path = row && fileOf(folder, row.id, row.media_type);
    if (!row || !path || !existsSync(path)) return sendProblem(res, problem('not-found', 'There is no such photo.'));
    res
      .type(row.media_type)
      .set('Cache-Control', 'private, max-age=31536000, immutable')
      .sendFile(path, { dotfiles: 'allow' });
  });

  /** The small one of it, made when it is first asked for. */
  router.get('/:id/small', async (req, res) => {
    const row = find.get(req.params.id);
    const path = row && fileOf(folder, row.id, row.media_type);
    if (!row || !path || !existsSync(path)) return sendProblem(res, problem('not-found', 'There is no such photo.'));
    const small = join(folder, 'small', `${row.id}.webp`);
    if (!existsSync(small)) {
      mkdirSync(join(folder, 'small'), { recursive: true });
      const part = `${small}.${nanoid(6)}.part`;
      writeFileSync(part, await smallPicture(path));
      renameSync(part, small);
    }
    res
      .type('image/webp')
      .set('Cache-Control', 'private, max-age=31536000, immutable')
      .sendFile(small, { dotfiles: 'allow' });
  });

  return router;
}

function fileOf(folder: string, id: string, type: string): string {
  return join(folder, `${id}.${TYPES[type] ?? 'bin'}`);
}
