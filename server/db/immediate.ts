import type { Db } from './open.ts';

/**
 * A transaction that takes the write lock when it begins: one that reads first and writes later would be refused as locked when
 * another process has written in between, whatever the time it may wait.
 */
export function immediate<A extends unknown[], R>(db: Db, work: (...args: A) => R): (...args: A) => R {
  const begun = db.transaction(work);
  return (...args) => begun.immediate(...args);
}
