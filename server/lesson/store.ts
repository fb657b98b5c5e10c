import { must } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import type { LessonAnswer } from '#contract/api';
import type { NewLesson } from '#contract/bodies';
import { immediate } from '../db/immediate.ts';
import type { Db } from '../db/open.ts';

interface Row {
  id: string;
  route_id: string;
  step: string | null;
  bottle_id: string | null;
  batch_id: string | null;
  text: string;
  written_at: string;
  retired_at: string | null;
}

export type LessonStore = ReturnType<typeof lessonStore>;

/** Lessons: added, retired, brought back; never deleted. */
export function lessonStore(db: Db) {
  const insert = db.prepare(
    'INSERT INTO lesson (id, route_id, step, bottle_id, batch_id, text, written_at) VALUES (?, ?, ?, ?, ?, ?, ?)',
  );
  const byId = db.prepare<[string], Row>('SELECT * FROM lesson WHERE id = ?');
  const all = db.prepare<[], Row>('SELECT * FROM lesson ORDER BY written_at DESC, id');
  const setRetired = db.prepare('UPDATE lesson SET retired_at = ? WHERE id = ?');
  const bottle = db.prepare<[string], { id: string }>('SELECT id FROM bottle WHERE id = ?');
  const batch = db.prepare<[string], { id: string }>('SELECT id FROM batch WHERE id = ?');

  const add = immediate(db, (lesson: NewLesson, at: string): Result<LessonAnswer> => {
    const before = byId.get(lesson.id);
    if (before)
      return before.text === lesson.text
        ? ok(toAnswer(before))
        : fail('id-taken', `The id ${lesson.id} already names another lesson.`);
    if (lesson.bottleId && !bottle.get(lesson.bottleId))
      return fail('not-found', 'There is no such bottle.', { field: 'bottleId' });
    if (lesson.batchId && !batch.get(lesson.batchId))
      return fail('not-found', 'There is no such batch.', { field: 'batchId' });
    insert.run(lesson.id, lesson.routeId, lesson.step, lesson.bottleId, lesson.batchId, lesson.text, at);
    return ok(toAnswer(must(byId.get(lesson.id), 'byId')));
  });

  const retire = immediate(db, (id: string, at: string | null): Result<LessonAnswer> => {
    if (!byId.get(id)) return fail('not-found', 'There is no such lesson.');
    setRetired.run(at, id);
    return ok(toAnswer(must(byId.get(id), 'byId')));
  });

  return { add, retire, list: (): readonly LessonAnswer[] => all.all().map(toAnswer) };
}

function toAnswer(row: Row): LessonAnswer {
  return {
    id: row.id,
    routeId: row.route_id,
    step: row.step,
    bottleId: row.bottle_id,
    batchId: row.batch_id,
    text: row.text,
    writtenAt: row.written_at,
    retiredAt: row.retired_at,
  };
}
