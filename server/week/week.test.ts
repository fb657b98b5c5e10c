import ICAL from 'ical.js';
import { pino } from 'pino';
import request from 'supertest';
import { describe, expect, it } from 'vitest';
import type { WeekAnswer } from '#contract/api';
import { BenchDefaults, USUAL_HOURS } from '#matter/gear';
import { NO_CHOICES } from '#run/week';
import { createApp } from '../app.ts';
import { openDb } from '../db/open.ts';
import { Sharing } from '../share/sharing.ts';
import { entry, testNotebook } from '../testing/notebook.ts';

/** Of a calendar as text: what it holds, by identity. */
function eventsIn(text: string) {
  const calendar = new ICAL.Component(ICAL.parse(text));
  return new Map(
    calendar.getAllSubcomponents('vevent').map((each) => {
      const event = new ICAL.Event(each);
      const { uid, summary, location, sequence } = event;
      return [uid, { summary, location, sequence, from: event.startDate.toJSDate(), to: event.endDate.toJSDate() }];
    }),
  );
}

describe('a week', () => {
  it('is planned from kept plans and running batches, in the usual hours until others are said', async () => {
    const { api, putShelf, putBatch } = testNotebook();
    await putShelf();
    const batch = await putBatch();
    const { body } = (await api.get('/api/week').expect(200)) as { body: WeekAnswer };
    expect(body).toMatchObject({ version: 0, choices: NO_CHOICES, hours: USUAL_HOURS, unread: [] });
    expect(body.laid.lightKnown).toBe(false);
    expect(body.tasks.filter((task) => task.batch === batch).length).toBeGreaterThan(5);
    expect(body.batches).toContainEqual(expect.objectContaining({ id: batch, status: 'planned' }));
  });

  it('keeps what is decided, and refuses a change based on an older one', async () => {
    const { api } = testNotebook();
    const choices = { ...NO_CHOICES, aim: 'fewest nights', wanted: { batch_test01: '2026-03-20T12:00:00.000Z' } };
    const saved = await api.put('/api/week').send({ basedOn: 0, choices }).expect(200);
    expect(saved.body).toMatchObject({ version: 1, choices });
    const stale = await api.put('/api/week').send({ basedOn: 0, choices }).expect(409);
    expect(stale.body.code).toBe('conflict');
    const odd = await api
      .put('/api/week')
      .send({ basedOn: 1, choices: { ...choices, aim: 'quick' } })
      .expect(422);
    expect(odd.body.detail).toMatch(/soonest/);
  });

  it('goes out as a calendar whose events keep their identity when they move', async () => {
    const { api, putShelf, putBatch, clock } = testNotebook();
    await putShelf();
    const batch = await putBatch();
    const first = eventsIn(
      (
        await api
          .get('/api/week/calendar.ics')
          .expect(200)
          .expect('Content-Type', /text\/calendar/)
      ).text,
    );
    expect(first.size).toBeGreaterThan(5);
    for (const { from, to, summary } of first.values()) {
      expect(to.valueOf()).toBeGreaterThan(from.valueOf());
      expect(summary).toMatch(/, zinc sulfate \d/);
    }
    // A day later nothing was begun: all of it moves, under the names it had.
    clock.now = '2026-03-15T19:00:00.000Z';
    await api
      .post(`/api/batches/${batch}/events`)
      .send({ events: [entry({ kind: 'noted', step: 'ready', text: 'late' })] })
      .expect(201);
    const second = eventsIn((await api.get('/api/week/calendar.ics').expect(200)).text);
    expect([...second.keys()].sort()).toEqual([...first.keys()].sort());
    for (const [uid, { from, sequence }] of second) {
      expect(from.valueOf()).toBeGreaterThanOrEqual(first.get(uid)!.from.valueOf());
      expect(sequence).toBeGreaterThan(first.get(uid)!.sequence);
    }
    expect([...second.values()][0]!.from.valueOf()).toBeGreaterThan([...first.values()][0]!.from.valueOf());
  });

  it('of somebody who is never there says so, as a problem and not as an empty calendar', async () => {
    const { api, putShelf, putBatch } = testNotebook();
    await putShelf();
    await putBatch();
    const never = { ...USUAL_HOURS, week: Array.from({ length: 7 }, () => []) };
    await api
      .put('/api/bench')
      .send({ basedOn: 0, bench: { ...BenchDefaults, hours: never } })
      .expect(200);
    const refused = await api.get('/api/week/calendar.ics').expect(422);
    expect(refused.body.detail).toMatch(/no free hour at all/);
    expect((await api.get('/api/week/soon').expect(200)).body.items).toEqual([]);
  });

  it('tells beforehand what of a kept plan comes within a day, and nothing where none was kept', async () => {
    const { api, putShelf, putBatch, clock } = testNotebook();
    await putShelf();
    const batch = await putBatch();
    expect((await api.get('/api/week/soon').expect(200)).body.items).toEqual([]);
    const { laid, tasks } = (await api.get('/api/week')).body as WeekAnswer;
    const opens = new Date(Date.parse(laid.from) + laid.free[0]![0] * 60_000).toISOString();
    const said = Object.fromEntries(tasks.map(({ id }) => [id, opens]));
    const choices = { ...NO_CHOICES, order: tasks.map(({ id }) => id), said };
    await api.put('/api/week').send({ basedOn: 0, choices }).expect(200);
    const { body } = await api.get('/api/week/soon').expect(200);
    expect(body.items[0]).toMatchObject({ batchId: batch });
    for (const { at } of body.items) expect(Date.parse(at) - Date.parse(body.now)).toBeLessThanOrEqual(86_400_000);
    // Its time is past and it was not begun: it is due since then, and the steps after it are not yet.
    clock.now = new Date(Date.parse(opens) + 3_600_000).toISOString();
    await api.post('/api/notices').send({ id: 'nt_written01', of: 'x', until: null, reason: '' }).expect(201);
    const later = (await api.get('/api/week/soon').expect(200)).body as typeof body;
    expect(later.items.filter(({ at }: { at: string }) => at <= clock.now).map(({ at }: { at: string }) => at)).toEqual(
      [opens],
    );
  });
});

describe('steps of a week', () => {
  it('take as long as they took in this bench’s own runs, from the second on', async () => {
    const { api, putShelf, putBatch } = testNotebook();
    await putShelf();
    const target = '1 L of 1 mol/L hydrochloric acid';
    const tasksOf = async (batch: string) =>
      ((await api.get('/api/week')).body as WeekAnswer).tasks.filter((task) => task.batch === batch);
    for (const [run, minutes] of [7, 9].entries()) {
      const batch = await putBatch(`batch_own_run${run}`, target);
      const begun = Date.parse('2026-03-13T08:00:00.000Z') + run * 14_400_000;
      const events = (await tasksOf(batch)).flatMap(({ step }, i) => {
        const at = (min: number) => new Date(begun + (20 * i + min) * 60_000).toISOString();
        return [entry({ kind: 'started', step }, at(0)), entry({ kind: 'finished', step }, at(minutes))];
      });
      await api.post(`/api/batches/${batch}/events`).send({ events }).expect(201);
    }
    const next = await tasksOf(await putBatch('batch_own_next', target));
    const stayed = next.filter(({ wait }) => wait === 'stay');
    expect(stayed.length).toBeGreaterThan(0);
    for (const { ownRuns, handsOnMin, waitMin } of stayed) {
      expect(ownRuns).toBe(2);
      expect([handsOnMin + waitMin[0], handsOnMin + waitMin[1]]).toEqual([7, 9]);
    }
  });
});

describe('what was told', () => {
  it('is seen once for every device, and put off with a reason; the newest word counts', async () => {
    const { api, clock } = testNotebook();
    const of = 'batch_test01:grow:look:2026-03-14T11:00:00.000Z';
    const until = '2026-03-14T12:30:00.000Z';
    await api.post('/api/notices').send({ id: 'nt_first001', of, until, reason: 'at table' }).expect(201);
    await api.post('/api/notices').send({ id: 'nt_first001', of, until, reason: 'at table' }).expect(201);
    expect((await api.get('/api/notices')).body).toEqual([{ of, at: clock.now, until, reason: 'at table' }]);
    await api.post('/api/notices').send({ id: 'nt_second01', of, until: null, reason: '' }).expect(201);
    expect((await api.get('/api/notices')).body).toMatchObject([{ of, until: null }]);
    await api.post('/api/notices').send({ id: 'nt_third001', of: '', until: null, reason: '' }).expect(422);
  });
});

describe('a calendar on the home network', () => {
  const HOST = 'bench.test:4173';
  it('fetches the week under its key, nothing else, and nothing once the key is withdrawn', async () => {
    const app = createApp({
      db: openDb(':memory:'),
      home: '/nowhere',
      log: pino({ level: 'silent' }),
      now: () => '2026-03-14T12:00:00.000Z',
      sharing: new Sharing(['bench.test']),
    });
    const api = request(app);
    const outside = (path: string) => api.get(path).set('Host', HOST);
    await outside('/api/week/calendar.ics').expect(401);
    const { key } = (await api.post('/api/week/feed').expect(201)).body as { key: string };
    await outside(`/api/week/calendar.ics?key=${key}`).expect(200);
    await outside(`/api/week/calendar.ics?key=${key.slice(1)}x`).expect(401);
    await outside(`/api/week?key=${key}`).expect(401);
    await api.delete('/api/week/feed').expect(200);
    await outside(`/api/week/calendar.ics?key=${key}`).expect(401);
  });
});
