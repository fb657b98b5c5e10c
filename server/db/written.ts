import type { Db } from './open.ts';

/** A number that grows with everything that a person writes: pages that see it grow read again what they show. */
export function writtenIn(db: Db): () => number {
  const written = db
    .prepare<[], number>(
      `SELECT (SELECT TOTAL(seq) FROM sqlite_sequence) + (SELECT COUNT(*) FROM batch) + (SELECT TOTAL(version) FROM batch)
        + (SELECT COUNT(*) + COUNT(retired_at) FROM lesson) + (SELECT TOTAL(version) FROM bench)
        + (SELECT COUNT(*) FROM own_route) + (SELECT TOTAL(version) FROM week)`,
    )
    .pluck();
  return () => written.get() ?? 0;
}
