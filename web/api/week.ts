import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { BackAnswer, LeavingAnswer, NoticeAnswer, SoonAnswer, WeekAnswer } from '#contract/api';
import type { WeekChoices } from '#run/week';
import { Away, request } from './client.ts';
import { newId } from './ids.ts';

/** A minute goes by, and what was due then has moved. */
const AGAIN_MS = 60_000;
const soonIfAway = ({ state }: { state: { error: unknown } }): number =>
  state.error instanceof Away ? 4000 : AGAIN_MS;

export function useWeek() {
  return useQuery({
    queryKey: ['week'],
    queryFn: () => request<WeekAnswer>('GET', '/week'),
    refetchInterval: soonIfAway,
    refetchOnMount: 'always',
  });
}

export function useSaveWeek() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (input: { basedOn: number; choices: WeekChoices }) => request<WeekAnswer>('PUT', '/week', input),
    onSuccess: (saved) => client.setQueryData(['week'], saved),
    onError: () => client.invalidateQueries({ queryKey: ['week'] }),
  });
}

/** Steps of the week that come soon. */
export function useSoon() {
  return useQuery({
    queryKey: ['soon'],
    queryFn: () => request<SoonAnswer>('GET', '/week/soon'),
    refetchInterval: soonIfAway,
  });
}

/** What was told and has been seen, on whichever device. */
export function useNotices() {
  return useQuery({
    queryKey: ['notices'],
    queryFn: () => request<readonly NoticeAnswer[]>('GET', '/notices'),
    refetchInterval: 15_000,
  });
}

export function useSeeNotice() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (notice: Omit<NoticeAnswer, 'at'>) => request('POST', '/notices', { id: newId('nt'), ...notice }),
    onSettled: () => client.invalidateQueries({ queryKey: ['notices'] }),
  });
}

export function useFeedKey() {
  return useQuery({
    queryKey: ['feed-key'],
    queryFn: () => request<{ readonly key: string | null }>('GET', '/week/feed'),
  });
}

export function useChangeFeedKey() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (on: boolean) => request<{ readonly key: string | null }>(on ? 'POST' : 'DELETE', '/week/feed'),
    onSuccess: (answer) => client.setQueryData(['feed-key'], answer),
  });
}

/** What to make safe before one goes until an instant. */
export function useLeaving(back: string | null) {
  return useQuery({
    queryKey: ['leaving', back],
    queryFn: () => request<LeavingAnswer>('GET', `/week/leaving?back=${encodeURIComponent(back ?? '')}`),
    enabled: back !== null,
  });
}

/** What to look at first, having been away since an instant. */
export function useBack(left: string | null) {
  return useQuery({
    queryKey: ['back', left],
    queryFn: () => request<BackAnswer>('GET', `/week/back?left=${encodeURIComponent(left ?? '')}`),
    enabled: left !== null,
  });
}
