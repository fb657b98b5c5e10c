import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import type { AssayAnswer, AssaySummary } from '#contract/api';
import type { AssayBody, AssayEntry, AssayPlan, AssayState } from '#model/assay';
import { request } from '../api/client.ts';
import { newId } from '../api/ids.ts';
import { postAssay, useOutbox } from '../api/outbox.ts';
import { notebookInstant } from '../kit/clock.ts';
import { useCompute } from '../worker/compute.ts';

export function useAssays() {
  return useQuery({ queryKey: ['assays'], queryFn: () => request<AssaySummary[]>('GET', '/assays') });
}

export function useBeginAssay() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (plan: AssayPlan) => request<AssayAnswer>('POST', '/assays', { plan }),
    onSuccess: (assay) => {
      client.setQueryData(['assay', assay.id], assay);
      return client.invalidateQueries({ queryKey: ['assays'] });
    },
  });
}

/** Writes the result on the bottle: plans that use it are recalculated from then on. */
export function useApplyAssay(id: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: () => request<AssayAnswer>('POST', `/assays/${id}/apply`, { id: newId('ev') }),
    onSuccess: (assay) => {
      client.setQueryData(['assay', id], assay);
      for (const queryKey of [['assays'], ['bottles'], ['board']]) void client.invalidateQueries({ queryKey });
    },
  });
}

export interface OpenAssay {
  readonly plan: AssayPlan;
  readonly entries: readonly AssayEntry[];
  readonly state: AssayState;
  readonly enter: (bodies: readonly AssayBody[]) => void;
}

/** An assay as it is now: what the server has, what still waits on this device, folded in the worker. */
export function useAssay(id: string): { assay: OpenAssay | undefined; error: unknown; problem: string } {
  const query = useQuery({ queryKey: ['assay', id], queryFn: () => request<AssayAnswer>('GET', `/assays/${id}`) });
  const outbox = useOutbox();
  const { data } = query;
  const entries = useMemo(() => {
    const known = new Set(data?.entries.map((each) => each.id));
    const mine = outbox.waiting.flatMap((each) => (each.of === 'assays' && each.batchId === id ? each.event : []));
    return [...(data?.entries ?? []), ...mine.filter((each) => !known.has(each.id))];
  }, [data, outbox.waiting, id]);
  const plan = data?.plan;
  const folded = useCompute(
    'assay',
    useMemo(() => (plan ? { plan, entries } : undefined), [plan, entries]),
  );
  const enter = useCallback(
    (bodies: readonly AssayBody[]) => {
      const happenedAt = notebookInstant();
      postAssay(
        id,
        bodies.map((body) => ({ id: newId('ev'), happenedAt, body })),
      );
    },
    [id],
  );
  const assay = plan && folded.value ? { plan, entries, state: folded.value, enter } : undefined;
  return { assay, error: query.error, problem: folded.problem?.message ?? '' };
}
