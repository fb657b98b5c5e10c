// npm test: everything that is missing is installed, then the build with types, lint, rooms and dead code beside it, unit tests,
// browser tests. Ends with where the time went and one line that counts: N passed, N failed. Every check is run, so that one
// failure does not hide another.
import { spawn } from 'node:child_process';
import { createWriteStream, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from './lib/chromium.mjs';
import { install } from './lib/install.mjs';
import { root } from './lib/run.mjs';

const began = Date.now();
install();
chromium();
const results = join(root, 'test-results');
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
const env = { ...process.env, PATH: `${join(root, 'node_modules', '.bin')}:${process.env.PATH}` };
const took = [['install', Date.now() - began]];
const log = [];
let passed = 0;
let failed = 0;

function say(text) {
  console.log(text);
  log.push(text);
}

/** Runs one command; what it prints is shown as it comes, or all at once when it has ended. Resolves with whether it passed. */
function step([name, command, ...args], { live = false } = {}) {
  const started = Date.now();
  const file = createWriteStream(join(results, `${name.replaceAll(' ', '-')}.log`));
  const child = spawn(command, args, { cwd: root, env, stdio: ['ignore', 'pipe', 'pipe'] });
  const said = [];
  for (const stream of [child.stdout, child.stderr])
    stream.on('data', (chunk) => {
      file.write(chunk);
      if (live) process.stdout.write(chunk);
      else said.push(chunk);
    });
  return new Promise((resolve) => {
    child.on('close', (code) => {
      const ms = Date.now() - started;
      took.push([name, ms]);
      file.end();
      if (!live && said.length > 0) process.stdout.write(Buffer.concat(said));
      say(`== ${name}: ${code === 0 ? 'passed' : 'FAILED'} (${(ms / 1000).toFixed(1)} s)`);
      resolve(code === 0);
    });
  });
}

async function check(...asked) {
  if (await step(asked)) passed += 1;
  else failed += 1;
}

/** Counts of a test runner's JSON report; a runner that failed without one counts as one failure. */
function count(ok, report, read) {
  const counts = existsSync(report) ? read(JSON.parse(readFileSync(report, 'utf8'))) : { passed: 0, failed: 0 };
  passed += counts.passed;
  failed += counts.failed + (!ok && counts.failed === 0 ? 1 : 0);
}

// Two at a time: there are two cores to count on.
await Promise.all([
  check('build', process.execPath, 'scripts/build.mjs'),
  (async () => {
    await check('types', 'tsc', '--noEmit');
    await check('lint', 'biome', 'check', '.');
    await check('rooms', process.execPath, 'scripts/check-rooms.mjs');
    await check('dead code', 'knip');
  })(),
]);

const unit = join(results, 'unit.json');
const reporters = ['--reporter=default', '--reporter=json', `--outputFile.json=${unit}`];
count(await step(['unit tests', 'vitest', 'run', ...reporters], { live: true }), unit, (report) => ({
  passed: report.numPassedTests,
  failed: report.numFailedTests,
}));

const e2e = join(results, 'e2e.json');
const browser = await step(['browser tests', 'playwright', 'test', '--config', 'e2e/playwright.config.ts'], {
  live: true,
});
count(browser, e2e, ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky }));

say('\nWhere the time went:');
for (const [name, ms] of took) say(`  ${(ms / 1000).toFixed(1).padStart(7)} s  ${name}`);
for (const [name, ms] of slowest()) say(`  ${(ms / 1000).toFixed(1).padStart(7)} s    ${name}`);
say(`  ${((Date.now() - began) / 1000).toFixed(1).padStart(7)} s  in all`);
say(`\n${passed} passed, ${failed} failed`);
writeFileSync(join(results, 'all.log'), `${log.join('\n')}\n`);
process.exit(failed === 0 ? 0 : 1);

/** The files of unit tests, and the browser tests, that took longest. */
function slowest() {
  const files = existsSync(unit) ? JSON.parse(readFileSync(unit, 'utf8')).testResults : [];
  const units = files.map(({ name, assertionResults }) => [
    name.slice(root.length + 1),
    assertionResults.reduce((sum, { duration }) => sum + (duration ?? 0), 0),
  ]);
  const suites = existsSync(e2e) ? JSON.parse(readFileSync(e2e, 'utf8')).suites : [];
  const browsers = suites.flatMap(({ file, specs }) =>
    specs.map(({ title, tests }) => [`${file}: ${title.slice(0, 60)}`, tests[0]?.results[0]?.duration ?? 0]),
  );
  const top = (rows) => rows.sort(([, a], [, b]) => b - a).slice(0, 6);
  return [...top(units), ...top(browsers)];
}
