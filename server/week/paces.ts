import type { Paces } from '#run/agenda';
import type { BatchStore } from '../batch/store.ts';
import type { Db } from '../db/open.ts';

/** So many of the newest runs by a route tell how long its steps take here. */
const NEWEST = 12;
const MINUTE_MS = 60_000;

interface Row {
  readonly step: string;
  readonly kind: string;
  readonly at: string;
}

/** How long steps took in finished runs by a route: from their beginning to their end as entered. */
export function pacesIn(db: Db, batches: BatchStore): (routeId: string) => Paces {
  const rows = db.prepare<[string], Row>(
    `SELECT json_extract(body, '$.step') AS step, json_extract(body, '$.kind') AS kind, happened_at AS at FROM batch_event
      WHERE batch_id = ? AND json_extract(body, '$.kind') IN ('started', 'finished') ORDER BY seq`,
  );
  const known = new Map<string, ReadonlyMap<string, number>>();
  const stepsOf = (id: string, version: number): ReadonlyMap<string, number> => {
    const key = `${id} ${version}`;
    const had = known.get(key);
    if (had) return had;
    const begun = new Map<string, number>();
    const took = new Map<string, number>();
    for (const { step, kind, at } of rows.all(id)) {
      if (kind === 'started') begun.set(step, Date.parse(at));
      const from = begun.get(step);
      if (kind === 'finished' && from !== undefined) took.set(step, (Date.parse(at) - from) / MINUTE_MS);
    }
    known.set(key, took);
    return took;
  };
  return (routeId) => {
    const runs = batches.list().filter((each) => each.routeId === routeId && each.status === 'done');
    const paces: Record<string, number[]> = {};
    for (const { id, version } of runs.slice(-NEWEST))
      for (const [step, min] of stepsOf(id, version)) {
        paces[step] ??= [];
        paces[step].push(min);
      }
    return paces;
  };
}
