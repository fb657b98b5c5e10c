// npm run probe: wrong edits, one at a time in a copy, each with the tests of its room. What lives is a test that is missing.
// By hand, about ten minutes. `npm run probe -- core/matter` takes only edits whose file contains that.
import { spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build } from './lib/build.mjs';
import { install } from './lib/install.mjs';
import { root } from './lib/run.mjs';

install();
build();
const [only = ''] = process.argv.slice(2);
const edits = JSON.parse(readFileSync(join(root, 'scripts/probe/edits.json'), 'utf8')).filter(({ file }) =>
  file.includes(only),
);
const copy = mkdtempSync(join(tmpdir(), 'still-probe-'));
for (const name of [
  'core',
  'contract',
  'server',
  'web',
  'demo',
  'scripts',
  'docs',
  'dist',
  'package.json',
  'vitest.config.ts',
  'tsconfig.json',
  'CONTRIBUTING.md',
  'README.md',
])
  cpSync(join(root, name), join(copy, name), { recursive: true });
symlinkSync(join(root, 'node_modules'), join(copy, 'node_modules'));

let caught = 0;
const lived = [];
for (const { file, from, to, tests } of edits) {
  const path = join(copy, file);
  const sound = readFileSync(path, 'utf8');
  if (sound.split(from).length !== 2) {
    console.error(`${file}: “${from}” stands there ${sound.split(from).length - 1} times; once is wanted.`);
    process.exitCode = 1;
    continue;
  }
  writeFileSync(path, sound.replace(from, to));
  const { status } = spawnSync(
    join(root, 'node_modules/.bin/vitest'),
    ['run', '--bail=1', '--reporter=dot', ...tests],
    {
      cwd: copy,
      stdio: 'ignore',
    },
  );
  writeFileSync(path, sound);
  if (status !== 0) caught += 1;
  else lived.push(`${file}: ${from}  ->  ${to}`);
  console.log(`${status !== 0 ? 'caught' : 'LIVED '}  ${file}: ${from}  ->  ${to}`);
}
rmSync(copy, { recursive: true, force: true });
console.log(`\n${caught} of ${edits.length} caught${lived.length > 0 ? '; lived:' : ''}`);
for (const each of lived) console.log(`  ${each}`);
