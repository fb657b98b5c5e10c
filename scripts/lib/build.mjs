// Builds the interface and the server, unless their sources are what was built last.

import { cpSync } from 'node:fs';
import { join } from 'node:path';
import { root, run } from './run.mjs';
import { hashOf, isFresh, setStamp } from './stamp.mjs';

const STAMP = 'dist/.stamp';
const SOURCES = [
  'core',
  'contract',
  'server',
  'web',
  'demo',
  'vite.config.ts',
  'vite.server.config.ts',
  'package-lock.json',
  'package.json',
];

export function build() {
  const hash = hashOf(SOURCES);
  if (isFresh(STAMP, hash)) return;
  console.log('Building …');
  // A test runner sets it to “test”, and would have the page built for developers.
  process.env.NODE_ENV = 'production';
  run('vite', ['build', '--logLevel', 'warn']);
  run('vite', ['build', '--config', 'vite.server.config.ts', '--logLevel', 'warn']);
  cpSync(join(root, 'server/db/migrations'), join(root, 'dist/server/migrations'), { recursive: true });
  setStamp(STAMP, hash);
}
