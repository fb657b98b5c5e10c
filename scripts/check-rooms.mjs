// The rooms and the arrows between them, type imports included. dependency-cruiser cannot read TSX without the old
// TypeScript compiler, so it is shown a copy in plain JavaScript with every import kept; how many modules it saw is
// checked too, since it passes in silence when it could read nothing.
import { spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { transformSync } from '@swc/core';
import { root } from './lib/run.mjs';

const MOST_LINES = 4000;
const ROOMS = ['core', 'contract', 'server', 'web', 'demo'];
const copy = mkdtempSync(join(tmpdir(), 'still-rooms-'));
let files = 0;

for (const room of ROOMS) {
  for (const name of readdirSync(join(root, room), { recursive: true })) {
    if (!/\.tsx?$/.test(name) || /\.test\.tsx?$/.test(name) || name.startsWith('testing/')) continue;
    const to = join(copy, room, name.replace(/\.tsx?$/, '.js'));
    mkdirSync(dirname(to), { recursive: true });
    writeFileSync(to, plain(readFileSync(join(root, room, name), 'utf8'), name.endsWith('x')));
    files += 1;
  }
}
const manifest = readFileSync(join(root, 'package.json'), 'utf8').replace(/(": "\.\/[\w*/]+)\.ts"/g, '$1.js"');
writeFileSync(join(copy, 'package.json'), manifest);
cpSync(join(root, '.dependency-cruiser.cjs'), join(copy, '.dependency-cruiser.cjs'));
// The stations are read off the router as it is written.
cpSync(join(root, 'web/app.tsx'), join(copy, 'web/app.tsx'));
mkdirSync(join(copy, 'scripts/lib'), { recursive: true });
cpSync(join(root, 'scripts/lib/room-order.cjs'), join(copy, 'scripts/lib/room-order.cjs'));
symlinkSync(join(root, 'node_modules'), join(copy, 'node_modules'));

const args = ['--config', '.dependency-cruiser.cjs', '--output-type', 'json', ...ROOMS];
const { stdout, stderr, status } = spawnSync(join(root, 'node_modules/.bin/depcruise'), args, {
  cwd: copy,
  encoding: 'utf8',
  maxBuffer: 1 << 28,
});
rmSync(copy, { recursive: true, force: true });
if (!stdout) {
  console.error(stderr);
  process.exit(status || 1);
}
const { summary } = JSON.parse(stdout);
for (const { rule, from, to, cycle } of summary.violations) {
  console.error(`${rule.severity}: ${rule.name}: ${from} → ${cycle ? cycle.map((each) => each.name).join(' → ') : to}`);
}
console.log(`${files} files, ${summary.totalDependenciesCruised} arrows, ${summary.violations.length} violations`);
const crowded = tooLarge();
for (const each of crowded) console.error(each);
const sawAll = summary.totalCruised >= files && summary.totalDependenciesCruised > 3 * files;
if (!sawAll) console.error('Too little was seen: the check cannot be trusted.');
process.exit(summary.error > 0 || crowded.length > 0 || !sawAll ? 1 : 0);

/** The file as JavaScript, with its type imports turned into plain ones so that their arrows are seen. */
function plain(source, tsx) {
  const seen = source.replace(/^(import|export) type (?=[{*])/gm, '$1 ').replace(/^import type (?=\w)/gm, 'import ');
  const { code } = transformSync(seen, {
    jsc: {
      parser: { syntax: 'typescript', tsx },
      target: 'es2022',
      transform: { verbatimModuleSyntax: true, react: { runtime: 'automatic' } },
    },
  });
  return code.replace(/(from|import\()\s*(['"][.#][^'"]*)\.tsx?(['"])/g, '$1 $2.js$3');
}

/** Rooms with more lines than one keeps in mind, tests apart. Data, catalogue and techniques have a folder for each of theirs. */
function tooLarge() {
  const lines = new Map();
  for (const room of ['core', 'contract', 'server', 'web', 'demo']) {
    for (const name of readdirSync(join(root, room), { recursive: true })) {
      if (!/\.(tsx?|css)$/.test(name) || /\.test\.tsx?$/.test(name)) continue;
      const at = join(room, dirname(name));
      const own = /^core\/(matter\/data|run\/route\/catalogue)\b/.test(at)
        ? null
        : at.split('/').slice(0, depthOf(at)).join('/');
      if (own === null) continue;
      const count = readFileSync(join(root, room, name), 'utf8').split('\n').length;
      lines.set(own, (lines.get(own) ?? 0) + count);
    }
  }
  return [...lines]
    .filter(([, count]) => count > MOST_LINES)
    .map(([at, count]) => `error: ${at} has ${count} lines; a room has at most ${MOST_LINES}`);
}

function depthOf(at) {
  if (/^core\/run\/technique\//.test(at)) return 5;
  if (/^web\/bench\/technique\//.test(at)) return 4;
  if (/^web\/models\//.test(at)) return 3;
  return at.startsWith('core/') ? 3 : 2;
}
