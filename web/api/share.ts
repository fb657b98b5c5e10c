import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { DeviceAnswer, ShareAnswer } from '#contract/api';
import { request } from './client.ts';

const KEY = ['share'];

/** Whether the notebook is open to the home network; undefined on a device that is not the machine itself. */
export function useShare({ everyMs = false }: { readonly everyMs?: number | false } = {}) {
  return useQuery({
    queryKey: KEY,
    queryFn: () => request<ShareAnswer>('GET', '/share'),
    refetchInterval: everyMs,
    staleTime: 60_000,
  });
}

export function useWithdraw() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => request<readonly DeviceAnswer[]>('DELETE', `/share/devices/${id}`),
    onSuccess: () => client.invalidateQueries({ queryKey: KEY }),
  });
}
