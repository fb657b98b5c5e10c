// Makes sure that a Chromium is there for the browser tests: Debian's own, installed where this script may.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { run } from './run.mjs';

const PLACES = [
  process.env.CHROMIUM_PATH,
  '/usr/lib/chromium/chromium-headless-shell',
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
];

export function chromium() {
  if (PLACES.some((path) => path && existsSync(path))) return;
  const isRoot = process.getuid?.() === 0;
  if (!isRoot || spawnSync('which', ['apt-get']).status !== 0) {
    console.error('The browser tests need Chromium: install chromium-headless-shell (Debian) or set CHROMIUM_PATH.');
    process.exit(1);
  }
  console.log('Installing Chromium for the browser tests …');
  run('apt-get', ['update', '-qq']);
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium-headless-shell'], {
    DEBIAN_FRONTEND: 'noninteractive',
  });
}
