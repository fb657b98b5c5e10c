import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { OwnRouteAnswer, RouteLook } from '#contract/api';
import type { Route } from '#run/route';
import { request } from './client.ts';

const KEY = ['routes'];
const NONE: readonly OwnRouteAnswer[] = [];

/** A person's own routes, the retired ones among them. */
export function useOwnRoutes() {
  return useQuery({ queryKey: KEY, queryFn: () => request<OwnRouteAnswer[]>('GET', '/routes') });
}

/** Own routes that are planned with. */
export function useRoutesInUse(): readonly Route[] {
  const { data = NONE } = useOwnRoutes();
  return useMemo(() => data.filter(({ retired }) => !retired).map(({ route }) => route), [data]);
}

/** A file that should hold a route: what is in it, and what it leaves open. */
export function useLookAtRoute() {
  return useMutation({
    mutationFn: async (file: File) => request<RouteLook>('POST', '/routes/look', jsonOf(await file.text())),
  });
}

/** What is no JSON is sent as the text it is: the server says so. */
function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return { text: text.slice(0, 200) };
  }
}

export function useKeepRoute() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ route, basedOn }: { route: Route; basedOn: number }) =>
      request<OwnRouteAnswer>('PUT', `/routes/${route.id}`, { route, basedOn }),
    onSuccess: () => client.invalidateQueries({ queryKey: KEY }),
  });
}

export function useRetireRoute() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, retired }: { id: string; retired: boolean }) =>
      request<OwnRouteAnswer>('POST', `/routes/${id}/${retired ? 'retire' : 'restore'}`),
    onSuccess: () => client.invalidateQueries({ queryKey: KEY }),
  });
}
