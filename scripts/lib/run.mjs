// Runs a command with its output shown; a failure ends the script with the same code.
import { spawn, spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..', '..');
const path = `${join(root, 'node_modules', '.bin')}:${process.env.PATH}`;

export function run(command, args, env = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, PATH: path, ...env } });
  if (done.error) {
    console.error(`${command}: ${done.error.message}`);
    process.exit(1);
  }
  if (done.status !== 0) process.exit(done.status ?? 1);
}

/** Starts a long-running command and passes signals on to it, so that Ctrl-C (or a signal to npm) stops it cleanly. */
export function stay(command, args, env = {}) {
  const child = spawn(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, PATH: path, ...env } });
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.on(signal, () => child.kill(signal === 'SIGHUP' ? 'SIGTERM' : signal));
  child.on('exit', (code, signal) => process.exit(code ?? (signal ? 1 : 0)));
}
