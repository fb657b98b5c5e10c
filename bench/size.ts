import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import { createApp } from '#server/app';
import { openDb } from '#server/db/open';
import { testShelf } from '#testing/shelf';
import { entry, testPlan } from '../server/testing/notebook.ts';
import { report } from './report.ts';

// A notebook of years: how long its lists take, over HTTP. npm run bench -- size [bottles] [batches]
const [bottles = 2000, batches = 1000] = process.argv.slice(2).map(Number);
const home = mkdtempSync(join(tmpdir(), 'still-size-'));
const db = openDb(join(home, 'still.db'));
// Only while it is filled.
db.pragma('synchronous = OFF');
const server = createServer(createApp({ db, home, log: pino({ level: 'silent' }) }));
await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
const origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`;
const post = (path: string, body: unknown) =>
  fetch(`${origin}${path}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });

const plan = testPlan('60 g zinc sulfate');
for (let i = 0; i < bottles; i++) {
  const { card } = testShelf[i % testShelf.length]!;
  await post('/bottles', {
    id: `bottle_size${String(i).padStart(5, '0')}`,
    eventId: `ev_size_${String(i).padStart(6, '0')}`,
    card,
  });
}
for (let i = 0; i < batches; i++) {
  const id = `batch_size${String(i).padStart(5, '0')}`;
  await post('/batches', { id, plan });
  // Of each twenty one runs, the others were given up.
  const body = i % 20 === 0 ? { kind: 'finished', step: 'ready' } : { kind: 'abandoned', reason: 'of before' };
  await post(`/batches/${id}/events`, { events: [entry(body)] });
}
db.pragma('synchronous = FULL');

const size = `${bottles} bottles, ${batches} batches`;
for (const path of ['/batches', '/bottles', '/clock', '/board']) {
  const times: number[] = [];
  const first = performance.now();
  await (await fetch(origin + path)).text();
  const cold = performance.now() - first;
  for (let i = 0; i < 40; i++) {
    const start = performance.now();
    await (await fetch(origin + path)).text();
    times.push(performance.now() - start);
  }
  const p95 = times.sort((a, b) => a - b)[Math.floor(0.95 * times.length)] ?? Number.NaN;
  report(`GET ${path}, ${size}: p95 (first ${cold.toFixed(0)} ms)`, `${p95.toFixed(1)} ms`, '20 ms');
}
server.close();
db.close();
rmSync(home, { recursive: true, force: true });
