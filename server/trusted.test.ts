import { mkdirSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import request from 'supertest';
import { expect, it } from 'vitest';
import { createApp } from './app.ts';
import { openDb } from './db/open.ts';
import { entry, PNG, testNotebook, testPlan } from './testing/notebook.ts';

it('shows a photo in a home that begins with a dot, as the usual ones do', async () => {
  const home = join(mkdtempSync(join(tmpdir(), 'still-')), '.earnest', 'demo');
  mkdirSync(home, { recursive: true });
  const api = request(createApp({ db: openDb(':memory:'), home, log: pino({ level: 'silent' }) }));
  await api
    .post('/api/batches')
    .send({ id: 'batch_photo1', plan: testPlan('60 g zinc sulfate') })
    .expect(201);
  await api
    .put('/api/attachments/att_photo01?batch=batch_photo1')
    .set('Content-Type', 'image/png')
    .send(PNG)
    .expect(201);
  const back = await api.get('/api/attachments/att_photo01').expect(200);
  expect(back.body).toEqual(PNG);
});

it('says in every answer which notebook it is, and takes nothing that is meant for another', async () => {
  const one = testNotebook();
  const two = testNotebook();
  const own = (await one.api.get('/api/health')).headers['x-notebook'];
  const other = (await two.api.get('/api/nothing')).headers['x-notebook'];
  expect(own).toMatch(/^[0-9a-f]{32}$/);
  expect(other).not.toBe(own);
  const batch = await one.putBatch();
  const events = { events: [entry({ kind: 'finished', step: 'ready' })] };
  const refused = await one.api.post(`/api/batches/${batch}/events`).set('X-Notebook', other!).send(events).expect(409);
  expect(refused.body).toMatchObject({ code: 'other-notebook' });
  expect((await one.api.get(`/api/batches/${batch}`)).body.events).toEqual([]);
  await one.api.post(`/api/batches/${batch}/events`).set('X-Notebook', own!).send(events).expect(201);
});

it.each([
  ['/api/lessons', { id: 'lesson_nul001', routeId: '', step: null, bottleId: null, batchId: null, text: 'a\u0000b' }],
  ['/api/lessons', { id: 'lesson_nul001', routeId: '', step: null, bottleId: null, batchId: null, text: '\u0000' }],
])('answers a character that no text has with a sentence', async (path, body) => {
  const { api } = testNotebook();
  const { body: problem } = await api.post(path).send(body).expect(422);
  expect(problem.detail).toContain('NUL');
});

it('answers the list at once after an upgrade, and folds the batches again between requests', async () => {
  const { api, db, putBatch } = testNotebook();
  for (let i = 0; i < 30; i++) await putBatch(`batch_many${String(i).padStart(3, '0')}`);
  const before = (await api.get('/api/batches').expect(200)).body;
  db.prepare('UPDATE batch_summary SET model = 0').run();
  const stale = () => (db.prepare('SELECT COUNT(*) AS n FROM batch_summary WHERE model = 0').get() as { n: number }).n;
  expect((await api.get('/api/batches').expect(200)).body).toEqual(before);
  await expect.poll(stale, { timeout: 20_000 }).toBe(0);
  // A batch that was entered at is never answered as it was before.
  db.prepare('UPDATE batch_summary SET model = 0').run();
  await api
    .post('/api/batches/batch_many000/events')
    .send({ events: [entry({ kind: 'abandoned', reason: 'changed my mind' })] })
    .expect(201);
  const { body } = await api.get('/api/batches').expect(200);
  expect(body.find(({ id }: { id: string }) => id === 'batch_many000').status).toBe('abandoned');
});
