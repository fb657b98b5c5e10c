import { Router } from 'express';
import { newLessonBody } from '#contract/bodies';
import { check } from '#contract/check';
import { answer, sendProblem } from '../http/problem.ts';
import type { LessonStore } from './store.ts';

export function lessonRoutes(lessons: LessonStore, now: () => string): Router {
  const router = Router();

  router.get('/', (_req, res) => {
    res.json(lessons.list());
  });

  router.post('/', (req, res) => {
    const body = check(newLessonBody, req.body);
    if (!body.ok) return sendProblem(res, body.problem);
    answer(res, lessons.add(body.value, now()), 201);
  });

  router.post('/:id/retire', (req, res) => answer(res, lessons.retire(req.params.id, now())));
  router.post('/:id/restore', (req, res) => answer(res, lessons.retire(req.params.id, null)));

  return router;
}
