import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import request from 'supertest';
import { planFor, testShelf } from '#testing/shelf';
import { createApp } from '../app.ts';
import { openDb } from '../db/open.ts';

/** A server on a notebook of its own, in memory, with a clock that can be set. */
export function testNotebook() {
  const clock = { now: '2026-03-14T12:00:00.000Z' };
  const db = openDb(':memory:');
  const home = mkdtempSync(join(tmpdir(), 'still-'));
  const app = createApp({ db, home, log: pino({ level: 'silent' }), now: () => clock.now });
  const api = request(app);
  const putShelf = async () => {
    for (const { id, card } of testShelf)
      await api
        .post('/api/bottles')
        .send({ id: longId(id), eventId: `ev_put_${id}`, card })
        .expect(201);
  };
  const putBatch = async (id = 'batch_test01', target = '60 g zinc sulfate') => {
    await api
      .post('/api/batches')
      .send({ id, plan: testPlan(target) })
      .expect(201);
    return id;
  };
  return { api, db, home, clock, putShelf, putBatch };
}

/** Ids of the test shelf as the boundary wants them. */
export function longId(id: string): string {
  return id.length < 13 ? `${id}_shelf` : id;
}

export function testPlan(target: string) {
  const plan = planFor(target);
  const bottles = Object.fromEntries(Object.entries(plan.bottles).map(([role, id]) => [role, id && longId(id)]));
  const stock = Object.fromEntries(Object.entries(plan.stock).map(([id, bottle]) => [longId(id), bottle]));
  return { ...plan, bottles, stock };
}

let count = 0;
export function entry(body: object, at = '2026-03-14T11:00:00.000Z', id = `ev_entry_${++count}`) {
  return { id, happened: { at, giveOrTakeMin: 0 }, body };
}

/** A picture of one point, whole. */
export const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);
