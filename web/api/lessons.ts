import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { LessonAnswer } from '#contract/api';
import type { NewLesson } from '#contract/bodies';
import { request } from './client.ts';
import { newId } from './ids.ts';

const KEY = ['lessons'];

export function useLessons() {
  return useQuery({ queryKey: KEY, queryFn: () => request<LessonAnswer[]>('GET', '/lessons') });
}

export function useAddLesson() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (lesson: Omit<NewLesson, 'id'>) =>
      request<LessonAnswer>('POST', '/lessons', { id: newId('lesson'), ...lesson }),
    onSuccess: () => client.invalidateQueries({ queryKey: KEY }),
  });
}

export function useRetireLesson() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, retired }: { id: string; retired: boolean }) =>
      request<LessonAnswer>('POST', `/lessons/${id}/${retired ? 'retire' : 'restore'}`),
    onSuccess: () => client.invalidateQueries({ queryKey: KEY }),
  });
}
