import type { Advice } from '#run/state';
import { useNow } from '../parts/use-now.ts';
import type { Run } from '../run/use-run.ts';
import { useAdviceAt } from '../worker/run-session.ts';

const EVERY_MS = 10_000;

/** What the readings and portions of a step say now; renewed as time goes by, and with every entry. */
export function useAdvice(run: Run, step: string): Advice | undefined {
  const { open, events } = run;
  const now = Math.floor(useNow(EVERY_MS) / EVERY_MS) * EVERY_MS;
  // An entry made since the last tick must not lie in the future.
  return useAdviceAt(open, step, new Date(Math.max(now, latest(events))).toISOString()).value;
}

function latest(events: Run['events']): number {
  return Math.max(0, ...events.slice(-3).map(({ happened }) => Date.parse(happened.at)));
}
