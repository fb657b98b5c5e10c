// Installs what package-lock.json asks for, unless that is what stands there already.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { homedir } from 'node:os';
import { dirname, join } from 'node:path';
import { root, run } from './run.mjs';
import { hashOf, isFresh, setStamp } from './stamp.mjs';

const STAMP = 'node_modules/.earnest-stamp';
const ADDON = 'node_modules/better-sqlite3';

export function install() {
  // Of package.json, what an install follows: another script in it installs nothing.
  const { dependencies, devDependencies, allowScripts } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8'));
  const wanted = JSON.stringify({ dependencies, devDependencies, allowScripts });
  const hash = hashOf(['package-lock.json'], process.version + process.arch + wanted);
  if (isFresh(STAMP, hash)) return;
  console.log(
    'Installing packages (the first time takes a few minutes: SQLite is compiled here when no prebuilt is reachable) …',
  );
  const prebuilds = join(process.env.XDG_CACHE_HOME ?? join(homedir(), '.cache'), 'earnest-still', 'prebuilds');
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    ...headersBesideNode(),
    // The addon is compiled for one person's notebook: -O1 halves the wait and costs nothing one can notice.
    CFLAGS: process.env.CFLAGS ?? '-O1',
    CXXFLAGS: process.env.CXXFLAGS ?? '-O1',
    npm_config_better_sqlite3_local_prebuilds: prebuilds,
  });
  keepPrebuilt(prebuilds);
  setStamp(STAMP, hash);
}

/** node-gyp would fetch Node's headers; where they lie beside node they are used instead. */
function headersBesideNode() {
  const nodedir = join(dirname(process.execPath), '..');
  return existsSync(join(nodedir, 'include', 'node', 'node.h')) ? { npm_config_nodedir: nodedir } : {};
}

/** Keeps the compiled addon in the user's cache in the form prebuild-install looks for, so that the next clone is quick. */
function keepPrebuilt(folder) {
  const addon = join(root, ADDON, 'build', 'Release', 'better_sqlite3.node');
  if (!existsSync(addon)) return;
  const { version } = JSON.parse(readFileSync(join(root, ADDON, 'package.json'), 'utf8'));
  const file = join(
    folder,
    `better-sqlite3-v${version}-node-v${process.versions.modules}-${process.platform}-${process.arch}.tar.gz`,
  );
  if (existsSync(file)) return;
  try {
    mkdirSync(folder, { recursive: true });
    spawnSync('tar', ['-czf', file, '-C', join(root, ADDON), 'build/Release/better_sqlite3.node']);
  } catch {
    // A cache that cannot be written only costs the next clone its time.
  }
}
