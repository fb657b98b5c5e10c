import { mkdirSync } from 'node:fs';
import { homedir } from 'node:os';
import { join, resolve } from 'node:path';

/** The notebook's directory: EARNEST_HOME, else the user's data folder. Made when it is not there. */
export function notebookHome(env: NodeJS.ProcessEnv = process.env): string {
  const base = env.XDG_DATA_HOME ?? join(homedir(), '.local', 'share');
  const home = resolve(env.EARNEST_HOME ?? join(base, 'earnest-still'));
  mkdirSync(home, { recursive: true, mode: 0o700 });
  return home;
}
