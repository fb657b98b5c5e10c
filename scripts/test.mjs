// npm test: everything that is missing is installed, then types, lint, rooms, dead code, unit tests, build, browser tests.
// Ends with one line that counts: N passed, N failed. Every check is run, so that one failure does not hide another.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build } from './lib/build.mjs';
import { chromium } from './lib/chromium.mjs';
import { install } from './lib/install.mjs';
import { root } from './lib/run.mjs';

install();
chromium();
const results = join(root, 'test-results');
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
const env = { ...process.env, PATH: `${join(root, 'node_modules', '.bin')}:${process.env.PATH}` };
let passed = 0;
let failed = 0;

function step(name, command, args) {
  console.log(`\n== ${name}`);
  const started = Date.now();
  const ok = spawnSync(command, args, { cwd: root, stdio: 'inherit', env }).status === 0;
  console.log(`== ${name}: ${ok ? 'passed' : 'FAILED'} (${((Date.now() - started) / 1000).toFixed(1)} s)`);
  return ok;
}

function check(name, command, args) {
  if (step(name, command, args)) passed += 1;
  else failed += 1;
}

/** Counts of a test runner's JSON report; a runner that failed without one counts as one failure. */
function count(ok, report, read) {
  const counts = existsSync(report) ? read(JSON.parse(readFileSync(report, 'utf8'))) : { passed: 0, failed: 0 };
  passed += counts.passed;
  failed += counts.failed + (!ok && counts.failed === 0 ? 1 : 0);
}

check('types', 'tsc', ['--noEmit']);
check('lint', 'biome', ['check', '.']);
check('rooms', process.execPath, ['scripts/check-rooms.mjs']);
check('dead code', 'knip', []);

const unit = join(results, 'unit.json');
count(
  step('unit tests', 'vitest', ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${unit}`]),
  unit,
  (report) => ({
    passed: report.numPassedTests,
    failed: report.numFailedTests,
  }),
);

build();
const e2e = join(results, 'e2e.json');
count(step('browser tests', 'playwright', ['test', '--config', 'e2e/playwright.config.ts']), e2e, ({ stats }) => ({
  passed: stats.expected + stats.flaky,
  failed: stats.unexpected,
}));

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
