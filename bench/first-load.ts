import { spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { chromium } from '@playwright/test';
import { chromiumPath } from '../e2e/chromium.ts';
import { report } from './report.ts';

// What a browser fetches until the shelf can be used: every script, gzipped, by what is in it.
const home = mkdtempSync(join(tmpdir(), 'still-load-'));
const server = spawn(process.execPath, ['dist/server/main.js'], {
  env: { ...process.env, EARNEST_HOME: home, PORT: '0' },
});
const origin = await new Promise<string>((resolve) => {
  server.stdout.on('data', (chunk: Buffer) => {
    const found = /http:\/\/127\.0\.0\.1:\d+/.exec(chunk.toString());
    if (found) resolve(found[0]);
  });
});
const browser = await chromium.launch({
  executablePath: chromiumPath(),
  chromiumSandbox: process.getuid?.() !== 0,
  args: ['--disable-gpu', '--no-first-run', '--disable-background-networking'],
});
const page = await browser.newPage();
const scripts = new Set<string>();
page.on('request', (request) => {
  if (/\.js$/.test(new URL(request.url()).pathname)) scripts.add(new URL(request.url()).pathname);
});
await page.goto(origin);
await page.getByRole('heading', { name: 'An empty shelf' }).waitFor();
await browser.close();
server.kill();

// What a worker imports at its start is not seen by the page: it is followed in the files.
const workerParts = new Set<string>();
const follow = (path: string): void => {
  if (workerParts.has(path)) return;
  workerParts.add(path);
  const text = readFileSync(join('dist/web', path), 'utf8');
  for (const [, name] of text.matchAll(/(?:from|import)\s*"\.\/([\w-]+\.js)"/g)) follow(`/assets/${name}`);
};
for (const path of scripts) if (path.includes('worker')) follow(path);
for (const path of workerParts) scripts.add(path);

const sizes = [...scripts]
  .map((path) => ({ path, bytes: gzipSync(readFileSync(join('dist/web', path))).length }))
  .sort((a, b) => b.bytes - a.bytes);
const isWorker = ({ path }: { path: string }) => workerParts.has(path);
const kB = (list: typeof sizes) => list.reduce((sum, { bytes }) => sum + bytes, 0) / 1000;
report('first load to a drawn shelf, script, gzipped', `${kB(sizes).toFixed(0)} kB`, '< 250 kB');
console.log(
  `  page ${kB(sizes.filter((each) => !isWorker(each))).toFixed(0)} kB (React, router, query, Ant Design's theme, the shell, the shelf)`,
);
console.log(
  `  compute worker ${kB(sizes.filter(isWorker)).toFixed(0)} kB (the core with its tables), off the page's own thread`,
);
for (const { path, bytes } of sizes.slice(0, 6))
  console.log(`    ${(bytes / 1000).toFixed(1).padStart(7)} kB  ${path}`);
const before = new Set(workerParts);
for (const name of readdirSync('dist/web/assets')) if (/^label-verbs-.*\.js$/.test(name)) follow(`/assets/${name}`);
const reader = [...workerParts].filter((path) => !before.has(path));
const readerKb = reader.reduce((sum, path) => sum + gzipSync(readFileSync(join('dist/web', path))).length, 0) / 1000;
report('  the reader of labels besides, once one types', `${readerKb.toFixed(0)} kB`, 'as little as may be');
rmSync(home, { recursive: true, force: true });
