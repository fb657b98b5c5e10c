import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { LessonAnswer } from '#contract/api';
import type { NewLesson } from '#contract/bodies';
import { request } from './client.ts';
import { useKeptIds } from './ids.ts';

const KEY = ['lessons'];

export function useLessons() {
  return useQuery({ queryKey: KEY, queryFn: () => request<LessonAnswer[]>('GET', '/lessons') });
}

export function useAddLesson() {
  const client = useQueryClient();
  const ids = useKeptIds();
  return useMutation({
    mutationFn: (lesson: Omit<NewLesson, 'id'>) =>
      request<LessonAnswer>('POST', '/lessons', { id: ids.of('lesson', lesson.text), ...lesson }),
    onSuccess: () => {
      ids.acknowledged();
      return client.invalidateQueries({ queryKey: KEY });
    },
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
