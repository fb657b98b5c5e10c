import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { pino } from 'pino';
import { must } from '#base/lookup';
import { createApp } from '#server/app';
import { openDb } from '#server/db/open';
import { chromiumPath } from '../e2e/chromium.ts';
import { batchId, fill } from '../server/testing/years.ts';
import { median, report } from './report.ts';

// A notebook of years: its lists over HTTP, and its pages in a browser. npm run bench -- size [bottles] [batches] [readings]
const [bottles = 2000, batches = 1000, readings = 2_000_000] = process.argv.slice(2).map(Number);
const size = `${bottles} bottles, ${batches} batches, ${readings} readings`;
const home = mkdtempSync(join(tmpdir(), 'still-size-'));

async function filled(): Promise<void> {
  const db = openDb(join(home, 'still.db'));
  // Only while it is filled.
  db.pragma('synchronous = OFF');
  const server = createServer(createApp({ db, home, log: pino({ level: 'silent' }) }));
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const api = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`;
  const headers = { 'Content-Type': 'application/json' };
  const post = async (path: string, body: unknown) => {
    const answer = await fetch(api + path, { method: 'POST', headers, body: JSON.stringify(body) });
    return answer.ok ? '' : answer.text();
  };
  await fill(db, post, { bottles, batches, readings, entries: 5000 });
  server.close();
  server.closeAllConnections();
  // As an upgrade leaves it: nothing that is kept folded holds any more.
  db.exec('UPDATE batch_summary SET model = 0');
  db.close();
}

async function served(): Promise<{ readonly origin: string; readonly stop: () => void }> {
  const child = spawn(process.execPath, ['dist/server/main.js'], {
    env: { ...process.env, EARNEST_HOME: home, PORT: '0' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const origin = await new Promise<string>((resolve) => {
    child.stdout.on('data', (chunk: Buffer) => {
      const found = /http:\/\/127\.0\.0\.1:\d+/.exec(chunk.toString());
      if (found) resolve(found[0]);
    });
  });
  return { origin, stop: () => void child.kill() };
}

async function timed(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await work();
  return performance.now() - start;
}

async function lists(origin: string): Promise<void> {
  for (const path of ['/batches', '/bottles', '/clock', '/board']) {
    const ask = async () => (await fetch(`${origin}/api${path}`)).text();
    const cold = await timed(ask);
    const times: number[] = [];
    // What an upgrade left stale fills in, in slices, while it is asked.
    for (let i = 0; i < 60; i++) times.push(await timed(ask));
    const settled = times.slice(20).sort((a, b) => a - b);
    const p95 = settled[Math.floor(0.95 * settled.length)] ?? Number.NaN;
    report(`GET ${path}: p95 (first after an upgrade ${cold.toFixed(0)} ms)`, `${p95.toFixed(1)} ms`, '20 ms');
  }
}

/** Milliseconds from leaving until something stands on the page. */
async function shown(page: Page, url: string, selector: string): Promise<number> {
  await page.goto('about:blank');
  return timed(async () => {
    await page.goto(url, { waitUntil: 'commit' });
    await page.locator(selector).first().waitFor();
  });
}

async function pages(origin: string): Promise<void> {
  const browser = await chromium.launch({
    executablePath: chromiumPath(),
    chromiumSandbox: process.getuid?.() !== 0,
    args: ['--disable-gpu', '--no-first-run', '--disable-background-networking', '--enable-precise-memory-info'],
  });
  try {
    await drawn(await browser.newPage({ viewport: { width: 1280, height: 800 } }), origin);
  } finally {
    await browser.close();
  }
}

async function drawn(page: Page, origin: string): Promise<void> {
  const ms = (value: number) => `${value.toFixed(0)} ms`;
  await shown(page, `${origin}/shelf`, '.stand .drawn-formula:not(:empty)');
  const shelf: number[] = [];
  for (let i = 0; i < 3; i++) shelf.push(await shown(page, `${origin}/shelf`, '.stand .drawn-formula:not(:empty)'));
  report('Shelf, until its bottles are drawn with their contents', ms(median(shelf)), '1000 ms');
  report('  nodes on the page', String(await page.evaluate(() => document.querySelectorAll('*').length)), 'few');
  const record: number[] = [];
  for (let i = 0; i < 3; i++) record.push(await shown(page, `${origin}/record`, '.record-title'));
  report('Record, until its first row', ms(median(record)), '1000 ms');
  report(
    'Run with 5000 readings, until it is open',
    ms(await shown(page, `${origin}/bench/${batchId(0)}`, '.log li')),
    '',
  );
  const entries: number[] = [];
  for (let i = 0; i < 5; i++) {
    await page.getByRole('button', { name: 'Note', exact: true }).click();
    await page.getByLabel('Note', { exact: true }).fill(`note ${i}`);
    // Timed in the page: from the key to the frame after its line stands in the log.
    entries.push(
      await page.evaluate(
        (text) =>
          new Promise<number>((resolve, reject) => {
            setTimeout(() => reject(new Error('the entry did not come into the log')), 20_000);
            const keep = must(
              [...document.querySelectorAll('button')].find((each) => each.textContent === 'Keep the note'),
              'button “Keep the note”',
            );
            const start = performance.now();
            const seen = new MutationObserver(() => {
              if (!document.querySelector('.log')?.textContent?.includes(text)) return;
              seen.disconnect();
              requestAnimationFrame(() => resolve(performance.now() - start));
            });
            seen.observe(document.body, { subtree: true, childList: true, characterData: true });
            keep.click();
          }),
        `note ${i}`,
      ),
    );
    await page.waitForTimeout(1500);
  }
  report('  an entry, until it stands in the log', ms(median(entries)), '100 ms');
  const client = await page.context().newCDPSession(page);
  await client.send('HeapProfiler.collectGarbage');
  const { usedSize } = await client.send('Runtime.getHeapUsage');
  report('  memory of the page', `${(usedSize / 1e6).toFixed(0)} MB`, '200 MB');
}

console.log(size);
report('filling it', `${((await timed(filled)) / 1000).toFixed(0)} s`, '');
const { origin, stop } = await served();
try {
  await lists(origin);
  await pages(origin);
} finally {
  stop();
  rmSync(home, { recursive: true, force: true });
}
