import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { Db } from '../db/open.ts';

const NAME = /^still-(\d{4}-\d{2}-\d{2})\.db$/;
/** Days of which every copy stays; then one a week to here; then one a month. */
const EVERY_DAY = 7;
const EVERY_WEEK = 35;
const DAY_MS = 86_400_000;

/** One copy of the notebook a day in its home, by its own online backup, thinned with age. True where one was made. */
export async function dailyCopy(db: Db, home: string, now: string): Promise<boolean> {
  const folder = join(home, 'copies');
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const name = `still-${now.slice(0, 10)}.db`;
  if (readdirSync(folder).includes(name)) return false;
  await db.backup(join(folder, `${name}.part`));
  renameSync(join(folder, `${name}.part`), join(folder, name));
  for (const old of thinned(readdirSync(folder), now)) rmSync(join(folder, old));
  return true;
}

/** The copies that lie in the home, the newest first. */
export function copiesIn(
  home: string,
): readonly { readonly name: string; readonly day: string; readonly bytes: number }[] {
  const folder = join(home, 'copies');
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .flatMap((name) => {
      const day = NAME.exec(name)?.[1];
      return day ? [{ name, day, bytes: statSync(join(folder, name)).size }] : [];
    })
    .sort((a, b) => b.day.localeCompare(a.day));
}

/** Which copies go: of each week beyond the last, and of each month beyond five weeks, all but the oldest one. */
export function thinned(names: readonly string[], now: string): readonly string[] {
  const today = Date.parse(now.slice(0, 10));
  const kept = new Set<string>();
  const dated = names.flatMap((name) => {
    const day = NAME.exec(name)?.[1];
    return day ? [{ name, day, age: (today - Date.parse(day)) / DAY_MS }] : [];
  });
  return dated
    .sort((a, b) => a.day.localeCompare(b.day))
    .flatMap(({ name, day, age }) => {
      if (age <= EVERY_DAY) return [];
      const group = age <= EVERY_WEEK ? `week ${Math.floor(Date.parse(day) / DAY_MS / 7)}` : `month ${day.slice(0, 7)}`;
      if (kept.has(group)) return [name];
      kept.add(group);
      return [];
    });
}
