import type { Hours } from '#matter/gear';

/** How an absence is called that was begun at the bench, and ends there. */
export const LEFT_THE_BENCH = 'left the bench';

/** So many are kept: an older one explains nothing any more. */
const MOST = 60;

/** Absences with one more. */
export const withAway = (away: Hours['away'], more: Hours['away'][number]): Hours['away'] =>
  [...away, more].slice(-MOST);

/** The absence that was begun at the bench and is not ended; undefined where one is there. */
export function awayNow({ away }: Pick<Hours, 'away'>): Hours['away'][number] | undefined {
  // Whoever comes back later than meant is still to be told what was missed: it ends when they say so.
  return away.findLast(({ why }) => why === LEFT_THE_BENCH);
}
