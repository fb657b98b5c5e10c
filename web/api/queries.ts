import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import type { BatchAnswer, BatchSummary, BenchAnswer, BoardAnswer, BottleAnswer, ClockAnswer } from '#contract/api';
import type { Bench } from '#matter/gear';
import type { BottleCard, BottleEventBody } from '#matter/stock';
import type { Plan } from '#run/plan';
import { notebookInstant } from '../kit/clock.ts';
import { Away, request } from './client.ts';
import { useKeptIds } from './ids.ts';

export function useBottles() {
  return useQuery({ queryKey: ['bottles'], queryFn: () => request<BottleAnswer[]>('GET', '/bottles') });
}

export function useBench() {
  return useQuery({ queryKey: ['bench'], queryFn: () => request<BenchAnswer>('GET', '/bench') });
}

export function useBatches() {
  return useQuery({ queryKey: ['batches'], queryFn: () => request<BatchSummary[]>('GET', '/batches') });
}

export function useBatch(id: string | undefined) {
  return useQuery({
    queryKey: ['batch', id],
    queryFn: () => request<BatchAnswer>('GET', `/batches/${id}`),
    enabled: id !== undefined,
  });
}

export function useClock() {
  return useQuery({
    queryKey: ['clock'],
    queryFn: () => request<ClockAnswer>('GET', '/clock'),
    refetchInterval: soonIfAway,
  });
}

/** A few times a minute; at once again where the server did not answer. */
function soonIfAway({ state }: { state: { error: unknown } }): number {
  return state.error instanceof Away ? 4000 : 15_000;
}

/** What was read so shortly before the clock told of it has it already. */
const JUST_NOW_MS = 1000;

/** Reads again what is shown when another page or device has written. */
export function useOthersWritten(): void {
  const client = useQueryClient();
  const { data, dataUpdatedAt } = useClock();
  const written = data?.written;
  const last = useRef(written);
  useEffect(() => {
    if (last.current !== undefined && written !== last.current)
      void client.refetchQueries({
        type: 'active',
        predicate: ({ queryKey, state }) =>
          queryKey[0] !== 'clock' && state.dataUpdatedAt < dataUpdatedAt - JUST_NOW_MS,
      });
    // What is not shown now is read again when it is.
    last.current = written;
  }, [written, dataUpdatedAt, client]);
}

export function useBoard() {
  return useQuery({
    queryKey: ['board'],
    queryFn: () => request<BoardAnswer>('GET', '/board'),
    refetchInterval: soonIfAway,
    refetchOnMount: 'always',
  });
}

export function usePutBottle() {
  const client = useQueryClient();
  const ids = useKeptIds();
  return useMutation({
    mutationFn: (input: { id?: string; card: BottleCard }) => {
      const key = JSON.stringify(input.card);
      const id = input.id ?? ids.of('bottle', key);
      return request<BottleAnswer>('POST', '/bottles', { card: input.card, id, eventId: ids.of('ev', id) });
    },
    onSuccess: () => {
      ids.acknowledged();
      return client.invalidateQueries({ queryKey: ['bottles'] });
    },
  });
}

export function useBottleEvent() {
  const client = useQueryClient();
  const ids = useKeptIds();
  const made = useRef(new Map<string, string>());
  return useMutation({
    mutationFn: ({ id, body, basedOn }: { id: string; body: BottleEventBody; basedOn?: number }) =>
      request<BottleAnswer>('POST', `/bottles/${id}/events`, {
        id: ids.of('ev', id + JSON.stringify(body)),
        happenedAt: timeOf(made.current, id + JSON.stringify(body)),
        body,
        ...(basedOn === undefined ? {} : { basedOn }),
      }),
    onSuccess: () => {
      ids.acknowledged();
      made.current.clear();
    },
    onSettled: () => client.invalidateQueries({ queryKey: ['bottles'] }),
  });
}

/** When something was first sent: sent again, it happened then and not now. */
function timeOf(made: Map<string, string>, key: string): string {
  const at = made.get(key) ?? notebookInstant();
  made.set(key, at);
  return at;
}

export function useKeepPlan() {
  const client = useQueryClient();
  const ids = useKeptIds();
  return useMutation({
    mutationFn: ({ id, plan, basedOn }: { id: string | null; plan: Plan; basedOn: number }) =>
      id === null
        ? request<BatchAnswer>('POST', '/batches', { id: ids.of('batch', JSON.stringify(plan)), plan })
        : request<BatchAnswer>('PUT', `/batches/${id}/plan`, { plan, basedOn }),
    onSuccess: (batch) => {
      ids.acknowledged();
      client.setQueryData(['batch', batch.id], batch);
      return client.invalidateQueries({ queryKey: ['batches'] });
    },
  });
}

export function useSaveBench() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (input: { basedOn: number; bench: Bench }) => request<BenchAnswer>('PUT', '/bench', input),
    onSuccess: (saved) => {
      client.setQueryData(['bench'], saved);
      return client.invalidateQueries({ queryKey: ['week'] });
    },
  });
}
