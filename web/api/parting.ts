import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { BatchAnswer } from '#contract/api';
import type { Join } from '#contract/bodies';
import { request } from './client.ts';

/** Part of a batch becomes a batch of its own. */
export function useSplitBatch(batchId: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (input: { id: string; share: number; why: string }) =>
      request<BatchAnswer>('POST', `/batches/${batchId}/split`, input),
    onSuccess: () => client.invalidateQueries(),
  });
}

/** Another batch goes into this one. */
export function useJoinBatch(batchId: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (input: Join) => request<BatchAnswer>('POST', `/batches/${batchId}/join`, input),
    onSuccess: () => client.invalidateQueries(),
  });
}
