import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { BatchAnswer, BatchSummary, BenchAnswer, BoardAnswer, BottleAnswer, ClockAnswer } from '#contract/api';
import type { Plan } from '#core/plan';
import type { BottleCard, BottleEventBody } from '#core/stock';
import type { Bench } from '#core/vessel';
import { request } from './client.ts';
import { newId } from './ids.ts';

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
    refetchInterval: 30_000,
  });
}

export function useBoard() {
  return useQuery({
    queryKey: ['board'],
    queryFn: () => request<BoardAnswer>('GET', '/board'),
    refetchInterval: 30_000,
    refetchOnMount: 'always',
  });
}

export function usePutBottle() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (input: { id: string; card: BottleCard }) =>
      request<BottleAnswer>('POST', '/bottles', { ...input, eventId: newId('ev') }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['bottles'] }),
  });
}

export function useBottleEvent() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, body, basedOn }: { id: string; body: BottleEventBody; basedOn?: number }) =>
      request<BottleAnswer>('POST', `/bottles/${id}/events`, {
        id: newId('ev'),
        happenedAt: new Date().toISOString(),
        body,
        ...(basedOn === undefined ? {} : { basedOn }),
      }),
    onSettled: () => client.invalidateQueries({ queryKey: ['bottles'] }),
  });
}

export function useKeepPlan() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, plan, basedOn }: { id: string | null; plan: Plan; basedOn: number }) =>
      id === null
        ? request<BatchAnswer>('POST', '/batches', { id: newId('batch'), plan })
        : request<BatchAnswer>('PUT', `/batches/${id}/plan`, { plan, basedOn }),
    onSuccess: (batch) => {
      client.setQueryData(['batch', batch.id], batch);
      return client.invalidateQueries({ queryKey: ['batches'] });
    },
  });
}

export function useSaveBench() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (input: { basedOn: number; bench: Bench }) => request<BenchAnswer>('PUT', '/bench', input),
    onSuccess: (saved) => client.setQueryData(['bench'], saved),
  });
}
