import type { RequestHandler } from 'express';
import { problem } from '#base/problem';
import type { Db } from '../db/open.ts';
import { sendProblem } from './problem.ts';

/** Says in every answer which notebook this is, and takes nothing that is meant for another. */
export function ofThisNotebook(db: Db): RequestHandler {
  const row = db.prepare<[], { id: string }>('SELECT id FROM identity').get();
  const id = row?.id ?? '';
  return (req, res, next) => {
    res.set('X-Notebook', id);
    const meant = req.get('X-Notebook');
    if (meant === undefined || meant === id) return next();
    sendProblem(
      res,
      problem(
        'other-notebook',
        'This was entered in another notebook than the one that is open here; it waits for its own.',
      ),
    );
  };
}
