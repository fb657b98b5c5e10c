/** Runs that are kept open; page and worker let go of the same ones. */
const MOST = 6;

/** Keeps a value as the newest of a map, and lets the oldest go. */
export function keepNewest<T>(map: Map<string, T>, key: string, value: T): T {
  map.delete(key);
  map.set(key, value);
  for (const old of [...map.keys()].slice(0, Math.max(0, map.size - MOST))) map.delete(old);
  return value;
}
