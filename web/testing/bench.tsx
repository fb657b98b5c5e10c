import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { vi } from 'vitest';
import { type Verb, type VerbInput, type VerbOutput, verbs } from '#contract/verbs';
import type { EventBody } from '#core/log';
import { unwrap } from '#core/problem';
import { runState } from '#core/state';
import { type on, START } from '../../core/testing/on-route.ts';
import { eventsAt } from '../../core/testing/shelf.ts';
import type { Run } from '../bench/use-run.ts';
import type { Computed } from '../worker/compute.ts';

/** The worker's answers, had at once: the same verbs, in this thread. */
export function computeHere<V extends Verb>(verb: V, input: VerbInput<V> | undefined): Computed<VerbOutput<V>> {
  if (input === undefined) return { value: undefined, problem: undefined, busy: false };
  const answer = (verbs[verb] as (value: VerbInput<V>) => ReturnType<(typeof verbs)[V]>)(input);
  return answer.ok
    ? { value: answer.value as VerbOutput<V>, problem: undefined, busy: false }
    : { value: undefined, problem: answer.problem, busy: false };
}

/** A run at a step as the panes are given it; what they enter is kept in `entered`. */
export function benchAt(of: ReturnType<typeof on>, step: string, ...bodies: readonly EventBody[]) {
  const events = eventsAt(START, ...bodies);
  const state = unwrap(runState(of.plan, events));
  const entered: EventBody[] = [];
  const run: Run = {
    batch: { id: 'batch_test01', number: 7, version: 1, createdAt: START, plan: of.plan, events },
    events,
    state,
    waiting: new Set(),
    enter: (body) => {
      entered.push(body);
      return `ev_entered${entered.length}`;
    },
  };
  const onClose = vi.fn();
  return { props: { run, step: state.steps.find(({ key }) => key === step)!, onClose }, entered, onClose };
}

/** Draws something that asks the server. */
export function draw(what: ReactNode) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false }, mutations: { retry: false } } });
  return render(<QueryClientProvider client={client}>{what}</QueryClientProvider>);
}
