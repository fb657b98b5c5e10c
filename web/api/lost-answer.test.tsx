import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { parseLabel } from '#matter/label';
import { planFor } from '#testing/shelf';
import { useAddLesson } from './lessons.ts';
import { useBottleEvent, useKeepPlan, usePutBottle } from './queries.ts';

const card = parseLabel('zinc 99% 900 g', '2026-03-14', 20).card!;
const lesson = { routeId: 'zinc-sulfate', step: null, bottleId: null, batchId: null, text: 'Cut it smaller.' };
const plan = planFor('60 g zinc sulfate');

/** What the server was sent, in order; the first answer of each test is lost on its way back. */
let sent: Record<string, unknown>[] = [];
beforeEach(() => {
  sent = [];
  vi.stubGlobal(
    'fetch',
    vi.fn(async (_: string, { body }: { body: string }) => {
      sent.push(JSON.parse(body) as Record<string, unknown>);
      if (sent.length === 1) throw new TypeError('the answer is lost');
      return new Response(JSON.stringify({ id: sent.at(-1)!.id }), { status: 201 });
    }),
  );
});
afterEach(() => vi.unstubAllGlobals());

const wrapper = ({ children }: { children: ReactNode }) => (
  <QueryClientProvider client={new QueryClient({ defaultOptions: { mutations: { retry: false } } })}>
    {children}
  </QueryClientProvider>
);

it.each([
  ['a bottle', usePutBottle, { card }, { card: { ...card, name: 'another' } }],
  [
    'a use',
    useBottleEvent,
    { id: 'bottle_a', body: { kind: 'used', grams: 5, forBatch: null, why: '' } },
    { id: 'bottle_a', body: { kind: 'used', grams: 6, forBatch: null, why: '' } },
  ],
  ['a plan', useKeepPlan, { id: null, plan, basedOn: 0 }, { id: null, plan: planFor('50 g zinc sulfate'), basedOn: 0 }],
  ['a lesson', useAddLesson, lesson, { ...lesson, text: 'And wash it.' }],
] as const)(
  '%s that is sent again after a lost answer is the same one, and the next is another',
  async (_, hook, input, another) => {
    const { result } = renderHook(() => (hook as () => { mutateAsync: (input: unknown) => Promise<unknown> })(), {
      wrapper,
    });
    await act(() => result.current.mutateAsync(input).catch(() => undefined));
    await act(() => result.current.mutateAsync(input));
    expect(sent[1]).toEqual(sent[0]);
    await act(() => result.current.mutateAsync(another));
    expect(sent[2]!.id).not.toBe(sent[0]!.id);
  },
);
