import { readFileSync } from 'node:fs';
import { holdNotebook } from '../db/lock.ts';
import { notebookHome } from '../home.ts';
import { restoreBackup } from './archive.ts';

// What is kept here is for its owner alone.
process.umask(0o077);

// npm run restore FILE: looked through first; what was there is kept beside it.
const [, , file] = process.argv;
try {
  if (!file) throw new Error('Which backup? Write npm run restore -- earnest-still-2026-03-14.zip');
  const home = notebookHome();
  const release = holdNotebook(home, { replacing: true });
  const before = restoreBackup(readFileSync(file), home, new Date().toISOString());
  release();
  console.log(
    `The notebook in ${home} is that of the backup now.${before ? ` What was there is kept in ${before}.` : ''}`,
  );
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exit(1);
}
