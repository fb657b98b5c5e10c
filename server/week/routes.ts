import { type Request, type Response, Router } from 'express';
import { problem } from '#base/problem';
import type { BackAnswer, LeavingAnswer, SoonAnswer, WeekAnswer } from '#contract/api';
import { backQuery, leavingQuery, noticeBody, weekChangeBody } from '#contract/bodies';
import { check } from '#contract/check';
import { leavingFrom, lookFirst } from '#run/agenda';
import { sendProblem } from '../http/problem.ts';
import { calendarOf } from './calendar.ts';
import type { HowPlanned, PlannedWeek } from './planned.ts';
import type { WeekStore } from './store.ts';

interface Deps {
  readonly store: WeekStore;
  readonly read: () => WeekAnswer;
  readonly planned: (how: HowPlanned) => PlannedWeek;
  /** What stands on the bench. */
  readonly standing: () => Parameters<typeof leavingFrom>[0];
  readonly written: () => number;
  readonly now: () => string;
}

const MINUTE_MS = 60_000;
const DAY_MS = 86_400_000;
/** What is told of beforehand lies at most so far ahead. */
const SOON_MS = DAY_MS;

/** The week: what it is planned from, what is decided of it, what of it comes soon, and the same as a calendar. */
export function weekRoutes({ store, read, planned, standing, written, now }: Deps): Router {
  const router = Router();
  router.get('/', (_req, res) => {
    res.json(read());
  });
  router.put('/', (req, res) => {
    const body = check(weekChangeBody, req.body);
    if (!body.ok) return sendProblem(res, body.problem);
    const saved = store.change(JSON.stringify(body.value.choices), body.value.basedOn);
    if (!saved)
      return sendProblem(
        res,
        problem('conflict', 'The week was changed elsewhere since you opened it. Look again, then repeat your change.'),
      );
    res.json(read());
  });
  router.get('/soon', (_req, res) => {
    res.json(soonOf(planned('as before'), now()));
  });
  router.get('/leaving', (req, res) => {
    const asked = check(leavingQuery, req.query);
    if (!asked.ok) return sendProblem(res, asked.problem);
    const { back } = asked.value;
    const present = now();
    if (back <= present)
      return sendProblem(
        res,
        problem('out-of-range', 'You would be back before you leave: say a later time.', { field: 'back' }),
      );
    const answer: LeavingAnswer = {
      now: present,
      back,
      darkAt: darkBefore(read(), { present, back }),
      ...leavingFrom(standing(), { now: present, back }),
    };
    res.json(answer);
  });
  router.get('/back', (req, res) => {
    const asked = check(backQuery, req.query);
    if (!asked.ok) return sendProblem(res, asked.problem);
    const present = now();
    const answer: BackAnswer = {
      now: present,
      left: asked.value.left,
      items: lookFirst(standing(), { left: asked.value.left, now: present }),
    };
    res.json(answer);
  });
  router.get('/calendar.ics', (req, res) => {
    const week = planned('searched');
    if (week.problem) return sendProblem(res, week.problem);
    sendCalendar(
      res,
      calendarOf({ planned: week, written: written(), origin: originOf(req) }),
      req.query.save !== undefined,
    );
  });
  router.get('/feed', (_req, res) => {
    res.json({ key: store.feedKey() });
  });
  router.post('/feed', (_req, res) => {
    res.status(201).json({ key: store.newFeedKey(now()) });
  });
  router.delete('/feed', (_req, res) => {
    store.dropFeedKey();
    res.json({ key: null });
  });
  return router;
}

/** What was told and has been seen, or put off. */
export function noticeRoutes(store: WeekStore, now: () => string): Router {
  const router = Router();
  router.get('/', (_req, res) => {
    res.json(store.seenSince(new Date(Date.parse(now()) - DAY_MS).toISOString()));
  });
  router.post('/', (req, res) => {
    const body = check(noticeBody, req.body);
    if (!body.ok) return sendProblem(res, body.problem);
    store.see({ ...body.value, at: now() });
    res.status(201).json({ ok: true });
  });
  return router;
}

/** A step that can be begun within so long can be begun now. */
const NOW_MS = 2 * MINUTE_MS;

/**
 * Steps of a plan that was kept whose time comes within a day, or has come and can be begun now. Without a kept plan there is no time to
 * tell of: whatever can be done stands at once, and is seen on the board.
 */
function soonOf({ answer, week }: PlannedWeek, now: string): SoonAnswer {
  const from = Date.parse(answer.laid.from);
  const present = Date.parse(now);
  const { said } = answer.choices;
  const tasks = new Map(answer.tasks.map((task) => [task.id, task]));
  const titles = new Map(answer.batches.map(({ id, title }) => [id, title]));
  const items = (week?.placed ?? []).flatMap(({ id, from: min, presentUntil }) => {
    const task = tasks.get(id);
    const kept = Object.hasOwn(said, id) ? Date.parse(said[id] ?? '') : null;
    if (!task || kept === null || task.startedMin !== undefined) return [];
    const stands = from + min * MINUTE_MS;
    const at = stands - present <= NOW_MS ? Math.min(kept, stands) : stands;
    if (at < present - SOON_MS || at > present + SOON_MS) return [];
    const { batch, step, title } = task;
    return [
      {
        id,
        batchId: step === '' ? null : batch,
        step,
        text: titles.has(batch) && step !== '' ? `${title}, ${titles.get(batch)}` : title,
        at: new Date(at).toISOString(),
        minutes: presentUntil - min,
      },
    ];
  });
  return { now, items: items.sort((a, b) => a.at.localeCompare(b.at)) };
}

/** When it gets dark between two instants; null where it does not, or where the light is not known. */
function darkBefore(
  { laid }: WeekAnswer,
  { present, back }: { readonly present: string; readonly back: string },
): string | null {
  if (!laid.lightKnown) return null;
  const from = Date.parse(laid.from);
  const ends = laid.light.map(([, to]) => new Date(from + to * MINUTE_MS).toISOString());
  return ends.find((at) => at > present && at < back) ?? null;
}

const originOf = (req: Request): string => `http://${req.headers.host ?? '127.0.0.1'}`;

function sendCalendar(res: Response, text: string, save: boolean): void {
  res.type('text/calendar; charset=utf-8');
  if (save) res.set('Content-Disposition', 'attachment; filename="bench-week.ics"');
  res.send(text);
}
