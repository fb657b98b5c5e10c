import { useCallback, useMemo, useRef } from 'react';
import type { BatchAnswer } from '#contract/api';
import type { EventBody, Happened, RunEvent } from '#run/log';
import type { RunState } from '#run/state';
import { newId } from '../api/ids.ts';
import { post, useOutbox } from '../api/outbox.ts';
import { useBatch } from '../api/queries.ts';
import { notebookInstant } from '../kit/clock.ts';
import { type OpenRun, useRunState } from '../worker/run-session.ts';

export interface Run {
  readonly batch: BatchAnswer;
  /** As the worker knows it. */
  readonly open: OpenRun;
  /** What the server has and what still waits. */
  readonly events: readonly RunEvent[];
  readonly state: RunState;
  /** Ids of entries that still wait for the server. */
  readonly waiting: ReadonlySet<string>;
  readonly enter: (body: EventBody, happened?: Happened) => string;
  /** Several entries that belong together: posted once, taken or refused as one. */
  readonly enterAll: (bodies: readonly EventBody[], happened?: Happened) => void;
}

/** A run as it is now: what the server has, what still waits on this device, folded together in the worker. */
export function useRun(batchId: string | undefined): { run: Run | undefined; error: unknown; problem: string } {
  const batch = useBatch(batchId);
  const outbox = useOutbox();
  const { data } = batch;
  const mine = useMemo(
    () => outbox.waiting.flatMap((each) => (each.of === 'batches' && each.batchId === batchId ? each.event : [])),
    [outbox.waiting, batchId],
  );
  const merged = useMemo(() => {
    const known = new Set(data?.events.map(({ id }) => id));
    return [...(data?.events ?? []), ...mine.filter(({ id }) => !known.has(id))];
  }, [data, mine]);
  const events = useSameEntries(merged);
  const plan = data?.plan;
  const open = useMemo<OpenRun | undefined>(
    () => (plan && batchId ? { batchId, plan, events } : undefined),
    [plan, batchId, events],
  );
  const folded = useRunState(open);
  const enter = useCallback(
    (body: EventBody, happened?: Happened) => {
      const event = eventNow(body, happened);
      if (batchId) post(batchId, [event]);
      return event.id;
    },
    [batchId],
  );
  const enterAll = useCallback(
    (bodies: readonly EventBody[], happened?: Happened) => {
      if (batchId)
        post(
          batchId,
          bodies.map((body) => eventNow(body, happened)),
        );
    },
    [batchId],
  );
  const waiting = useMemo(() => new Set(mine.map(({ id }) => id)), [mine]);
  const run =
    data && open && folded.value
      ? { batch: data, open, events, state: folded.value, waiting, enter, enterAll }
      : undefined;
  return { run, error: batch.error, problem: folded.problem?.message ?? '' };
}

/** The same list for as long as it holds the same entries: one that was sent and is now known to be written changes nothing. */
function useSameEntries(entries: readonly RunEvent[]): readonly RunEvent[] {
  const last = useRef(entries);
  const isSame =
    last.current.length === entries.length && entries.every(({ id }, index) => last.current[index]?.id === id);
  if (!isSame) last.current = entries;
  return last.current;
}

function eventNow(body: EventBody, happened?: Happened): RunEvent {
  // By the server’s clock: a device that is ten minutes ahead writes nothing into the future.
  const now = notebookInstant();
  return { id: newId('ev'), happened: happened ?? { at: now, giveOrTakeMin: 0 }, writtenAt: now, body };
}
