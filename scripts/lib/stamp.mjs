// Stamps: a hash of what a step depends on, kept where the step's result is, so that nothing is done twice.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { root } from './run.mjs';

export function hashOf(paths, extra = '') {
  const hash = createHash('sha256').update(extra);
  for (const path of paths) add(hash, path);
  return hash.digest('hex');
}

function add(hash, path) {
  const full = join(root, path);
  if (!existsSync(full)) return;
  let entries;
  try {
    entries = readdirSync(full, { withFileTypes: true });
  } catch {
    hash.update(path).update(readFileSync(full));
    return;
  }
  for (const entry of entries.sort((a, b) => (a.name < b.name ? -1 : 1))) {
    if (!/\.test\.tsx?$/.test(entry.name)) add(hash, join(path, entry.name));
  }
}

export function isFresh(file, hash) {
  const full = join(root, file);
  return existsSync(full) && readFileSync(full, 'utf8') === hash;
}

export function setStamp(file, hash) {
  const full = join(root, file);
  mkdirSync(dirname(full), { recursive: true });
  writeFileSync(full, hash);
}
