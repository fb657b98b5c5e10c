import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo } from 'react';
import type { AnyFeedReading, CellFeedReading, FeedAnswer, FeedReading, FeedStatus } from '#contract/api';
import type { FeedChange, FeedStart } from '#contract/bodies';
import { request } from './client.ts';

/** As many readings as a chart tells apart; the rest stay where they are kept. */
const POINTS = 800;

const keyOf = (batchId: string) => ['feed', batchId] as const;

/** The instruments of a batch: what they showed so far, and what comes, as it comes. */
export function useFeed(batchId: string) {
  const client = useQueryClient();
  const query = useQuery({
    queryKey: keyOf(batchId),
    queryFn: () => request<FeedAnswer>('GET', `/batches/${batchId}/feed?points=${POINTS}`),
    staleTime: Number.POSITIVE_INFINITY,
  });
  const known = query.data !== undefined;
  const any = query.data?.status.kind !== null;
  useEffect(() => {
    if (!known || !any) return;
    // Comes back by itself when the server has been away; what was missed is then asked for.
    const source = new EventSource(`/api/batches/${batchId}/feed/stream`);
    source.onmessage = (message: MessageEvent<string>) => {
      const came = JSON.parse(message.data) as FeedAnswer;
      client.setQueryData<FeedAnswer>(keyOf(batchId), (before) => (before ? taken(before, came) : before));
      const last = client.getQueryData<FeedAnswer>(keyOf(batchId))?.readings.at(-1)?.seq ?? 0;
      if (came.status.last > last) void client.invalidateQueries({ queryKey: keyOf(batchId) });
    };
    return () => source.close();
  }, [batchId, client, known, any]);
  const settle = (status: FeedStatus) => {
    client.setQueryData<FeedAnswer>(keyOf(batchId), (before) => ({ readings: before?.readings ?? [], status }));
  };
  const start = useMutation({
    mutationFn: (body: FeedStart) => request<FeedStatus>('POST', `/batches/${batchId}/feed`, body),
    onSuccess: settle,
  });
  const change = useMutation({
    mutationFn: (body: FeedChange) => request<FeedStatus>('PATCH', `/batches/${batchId}/feed`, body),
    onSuccess: settle,
  });
  const all = query.data?.readings ?? NONE;
  const readings = useMemo(() => all.filter(isStill), [all]);
  const cell = useMemo(() => all.filter(isCell), [all]);
  return { status: query.data?.status, readings, cell, start, change, error: query.error };
}

const NONE: readonly AnyFeedReading[] = [];
const isCell = (each: AnyFeedReading): each is CellFeedReading => 'volts' in each;
const isStill = (each: AnyFeedReading): each is FeedReading => !isCell(each);
/** A change of receiver must not fall between. */
const receiverOf = (each: AnyFeedReading | undefined): number => (each && 'receiver' in each ? each.receiver : 0);

/** What came, behind what is known; thinned again when it has grown to twice what a chart shows. */
function taken(before: FeedAnswer, { status, readings }: FeedAnswer): FeedAnswer {
  const last = before.readings.at(-1)?.seq ?? 0;
  const fresh = readings.filter(({ seq }) => seq > last);
  if (fresh.length === 0) return { ...before, status };
  const all = [...before.readings, ...fresh];
  const kept =
    all.length <= 2 * POINTS
      ? all
      : all.filter((each, i) => i % 2 === 0 || i === all.length - 1 || receiverOf(each) !== receiverOf(all[i + 1]));
  return { status, readings: kept };
}
