import { Router } from 'express';
import { problem } from '#base/problem';
import type { BenchAnswer } from '#contract/api';
import { benchChangeBody } from '#contract/bodies';
import { check } from '#contract/check';
import { BenchDefaults } from '#matter/gear';
import { immediate } from '../db/immediate.ts';
import type { Db } from '../db/open.ts';
import { sendProblem } from '../http/problem.ts';

interface Row {
  version: number;
  body: string;
}

/** Reads the bench as it stands; before the first change the defaults stand as version 0. */
export function benchOf(db: Db): () => BenchAnswer {
  const read = db.prepare<[], Row>('SELECT version, body FROM bench WHERE id = 1');
  return () => {
    const row = read.get();
    return row
      ? { version: row.version, bench: { ...BenchDefaults, ...JSON.parse(row.body) } }
      : { version: 0, bench: BenchDefaults };
  };
}

/** The person's place and gear: one versioned row; before the first change the defaults stand as version 0. */
export function benchRoutes(db: Db): Router {
  const current = benchOf(db);
  const insert = db.prepare('INSERT INTO bench (id, version, body) VALUES (1, 1, ?)');
  const update = db.prepare('UPDATE bench SET version = version + 1, body = ? WHERE id = 1');
  const change = immediate(db, (body: string, basedOn: number): BenchAnswer | undefined => {
    if (current().version !== basedOn) return undefined;
    if (basedOn === 0) insert.run(body);
    else update.run(body);
    return current();
  });
  const router = Router();
  router.get('/', (_req, res) => {
    res.json(current());
  });
  router.put('/', (req, res) => {
    const body = check(benchChangeBody, req.body);
    if (!body.ok) return sendProblem(res, body.problem);
    const saved = change(JSON.stringify(body.value.bench), body.value.basedOn);
    if (!saved)
      return sendProblem(
        res,
        problem(
          'conflict',
          'Your bench was changed elsewhere since you opened it. Look again, then repeat your change.',
        ),
      );
    res.json(saved);
  });
  return router;
}
