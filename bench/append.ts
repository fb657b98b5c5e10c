import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import autocannon from 'autocannon';
import Database from 'better-sqlite3';
import express, { type Express } from 'express';
import { pino } from 'pino';
import { createApp } from '#server/app';
import { openDb } from '#server/db/open';
import { testShelf } from '#testing/shelf';
import { entry, longId, testPlan } from '../server/testing/notebook.ts';
import { median, report } from './report.ts';

// Appending a reading over HTTP against a bare Express with better-sqlite3 that parses JSON and inserts one row under the
// same durability (WAL, synchronous FULL). Both in turn, several rounds, so that the machine's mood falls on both.
const ROUNDS = 5;
const AMOUNT = 1500;
const home = mkdtempSync(join(tmpdir(), 'still-bench-'));
let count = 0;

const reading = () =>
  entry(
    {
      kind: 'read',
      step: 'dissolve',
      quantity: 'temperature',
      reading: { is: 'exact', value: 21.5, unit: '°C' },
      place: '',
    },
    new Date().toISOString(),
    `ev_bench_${String(++count).padStart(8, '0')}`,
  );

function bare(): Express {
  const db = new Database(join(home, 'bare.db'));
  db.pragma('journal_mode = WAL');
  db.pragma('synchronous = FULL');
  db.exec('CREATE TABLE IF NOT EXISTS event (id TEXT PRIMARY KEY, body TEXT NOT NULL) STRICT');
  const insert = db.prepare('INSERT INTO event VALUES (?, ?)');
  const app = express();
  app.post('/api/batches/batch_bench01/events', express.json(), (req, res) => {
    for (const event of req.body.events) insert.run(event.id, JSON.stringify(event));
    res.status(201).json({ written: req.body.events.length });
  });
  return app;
}

async function own(): Promise<Express> {
  const app = createApp({ db: openDb(join(home, 'still.db')), home, log: pino({ level: 'silent' }) });
  return await serving(app, async (origin) => {
    const post = (path: string, body: unknown) =>
      fetch(`${origin}${path}`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(body),
      });
    for (const { id, card } of testShelf) await post('/api/bottles', { id: longId(id), eventId: `ev_put_${id}`, card });
    await post('/api/batches', { id: 'batch_bench01', plan: testPlan('60 g zinc sulfate') });
    return app;
  });
}

async function serving<T>(app: Express, use: (origin: string) => Promise<T>): Promise<T> {
  const server = createServer(app);
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  try {
    return await use(`http://127.0.0.1:${(server.address() as AddressInfo).port}`);
  } finally {
    server.closeAllConnections();
    server.close();
  }
}

/** Requests a second until the last answer; autocannon's own clock ticks in whole seconds. */
async function throughput(app: Express): Promise<number> {
  return await serving(app, async (origin) => {
    const started = performance.now();
    let last = started;
    const result = await new Promise<autocannon.Result>((resolve, reject) => {
      const running = autocannon(
        {
          url: `${origin}/api/batches/batch_bench01/events`,
          amount: AMOUNT,
          connections: 8,
          requests: [
            {
              method: 'POST',
              headers: { 'Content-Type': 'application/json' },
              setupRequest: (request) => ({ ...request, body: JSON.stringify({ events: [reading()] }) }),
            },
          ],
        },
        (error, done) => (error ? reject(error) : resolve(done)),
      );
      running.on('response', () => {
        last = performance.now();
      });
    });
    if (result['2xx'] !== AMOUNT) throw new Error(`only ${result['2xx']} of ${AMOUNT} were written`);
    return AMOUNT / ((last - started) / 1000);
  });
}

const apps = { bare: bare(), own: await own() };
const rates = { bare: [] as number[], own: [] as number[] };
for (let round = 0; round <= ROUNDS; round++) {
  for (const name of ['bare', 'own'] as const) {
    const rate = await throughput(apps[name]);
    // The first round only warms up.
    if (round > 0) rates[name].push(rate);
  }
}
const ratio = median(rates.own) / median(rates.bare);
report('append a reading over HTTP against bare Express + SQLite', ratio.toFixed(2), '>= 0.60');
console.log(`  (${median(rates.own).toFixed(0)} against ${median(rates.bare).toFixed(0)} a second)`);
rmSync(home, { recursive: true, force: true });
process.exit(0);
