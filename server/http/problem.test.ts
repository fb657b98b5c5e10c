import express from 'express';
import { pino } from 'pino';
import request from 'supertest';
import { expect, it } from 'vitest';
import { onError } from './problem.ts';

it.each([
  ['SQLITE_FULL', 507, /disk of this machine is full/],
  ['ENOSPC', 507, /disk of this machine is full/],
  ['SQLITE_BUSY', 503, /Another process is writing/],
  ['SQLITE_CONSTRAINT_UNIQUE', 409, /written meanwhile: nothing of this was/],
  ['SQLITE_CORRUPT', 500, /nothing was written/],
])('tells %s in a sentence, and nothing of its inside', async (code, status, says) => {
  const app = express();
  app.get('/', () => {
    throw Object.assign(new Error('at /home/someone/still.db'), { code });
  });
  app.use(onError(pino({ level: 'silent' })));
  const { body } = await request(app).get('/').expect(status);
  expect(body.detail).toMatch(says);
  expect(JSON.stringify(body)).not.toContain('someone');
});
