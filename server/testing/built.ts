import { spawnSync } from 'node:child_process';

/** Builds the server, unless it is built of these sources: a process or thread of it then starts in a second. */
export function built(name: string): URL {
  const { status, stderr } = spawnSync(process.execPath, ['scripts/build.mjs'], { encoding: 'utf8' });
  if (status !== 0) throw new Error(`The build failed: ${stderr}`);
  return new URL(`../../dist/server/${name}.js`, import.meta.url);
}
