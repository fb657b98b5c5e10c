import { useMemo } from 'react';
import type { Advice } from '#core/state';
import { useNow } from '../shell/use-now.ts';
import { useCompute } from '../worker/compute.ts';
import type { Run } from './use-run.ts';

const EVERY_MS = 10_000;

/** What the readings and portions of a step say now; renewed as time goes by, and with every entry. */
export function useAdvice(run: Run, step: string): Advice | undefined {
  const { batch, events } = run;
  const now = Math.floor(useNow(EVERY_MS) / EVERY_MS) * EVERY_MS;
  return useCompute(
    'advise',
    useMemo(
      // An entry made since the last tick must not lie in the future.
      () => ({ plan: batch.plan, events, step, now: new Date(Math.max(now, latest(events))).toISOString() }),
      [batch.plan, events, step, now],
    ),
  ).value;
}

function latest(events: Run['events']): number {
  return Math.max(0, ...events.slice(-3).map(({ happened }) => Date.parse(happened.at)));
}
