import { writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { openDb } from '../db/open.ts';
import { notebookHome } from '../home.ts';
import { backupOf } from './archive.ts';

// npm run backup [FILE]: everything of the notebook in one archive, also while it is open.
const home = notebookHome();
const now = new Date().toISOString();
const file = resolve(process.argv[2] ?? `earnest-still-${now.slice(0, 10)}.zip`);
const db = openDb(join(home, 'still.db'));
const archive = await backupOf(db, home, now);
writeFileSync(file, archive, { mode: 0o600 });
db.close();
console.log(`${file}: ${(archive.length / 1e6).toFixed(1)} MB, opened again and whole.`);
