import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { vi } from 'vitest';
import { must } from '#base/lookup';
import { unwrap } from '#base/problem';
import type { Verb } from '#contract/verb';
import { type VerbInput, type VerbName, type VerbOutput, verbs } from '#contract/verbs';
import type { EventBody } from '#run/log';
import { type RecordAnswer, type RecordAsked, recordOf } from '#run/outcome';
import { type RunState, runState } from '#run/state';
import { type on, START } from '#testing/on-route';
import { eventsAt } from '#testing/shelf';
import type { Run } from '../run/use-run.ts';
import type { OpenRun } from '../worker/run-session.ts';
import type { Computed } from '../worker/use-latest.ts';

const here: { readonly [V in VerbName]: Verb<string, VerbInput<V>, VerbOutput<V>> } = verbs;

/** The worker's answers, had at once: the same verbs, in this thread. */
export function computeHere<V extends VerbName>(verb: V, input: VerbInput<V> | undefined): Computed<VerbOutput<V>> {
  if (input === undefined) return { value: undefined, problem: undefined, busy: false };
  const answer = here[verb].run(input);
  return answer.ok
    ? { value: answer.value, problem: undefined, busy: false }
    : { value: undefined, problem: answer.problem, busy: false };
}

/** The state of a run, folded in this thread. */
export function runHere(run: OpenRun | undefined): Computed<RunState> {
  return computeHere('run', run && { plan: run.plan, events: run.events });
}

/** What a record shows, computed in this thread. */
export function recordHere(
  { plan, events, batchId }: OpenRun,
  { number, today, ...asked }: RecordAsked & { readonly number: number; readonly today: string },
): Computed<RecordAnswer> {
  const run = { plan, events, state: unwrap(runState(plan, events)), batch: { id: batchId, number }, today };
  return { value: recordOf(run, asked), problem: undefined, busy: false };
}

/** A run at a step as the panes are given it; what they enter is kept in `entered`. */
export function benchAt(of: ReturnType<typeof on>, step: string, ...bodies: readonly EventBody[]) {
  const events = eventsAt(START, ...bodies);
  const state = unwrap(runState(of.plan, events));
  const entered: EventBody[] = [];
  const run: Run = {
    batch: { id: 'batch_test01', number: 7, version: 1, createdAt: START, plan: of.plan, events },
    open: { batchId: 'batch_test01', plan: of.plan, events },
    events,
    state,
    waiting: new Set(),
    enter: (body) => {
      entered.push(body);
      return `ev_entered${entered.length}`;
    },
    enterAll: (bodies) => {
      entered.push(...bodies);
    },
  };
  const onClose = vi.fn();
  return {
    props: {
      run,
      step: must(
        state.steps.find(({ key }) => key === step),
        'steps',
      ),
      onClose,
    },
    entered,
    onClose,
  };
}

/** Draws something that asks the server. */
export function draw(what: ReactNode) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false }, mutations: { retry: false } } });
  return render(<QueryClientProvider client={client}>{what}</QueryClientProvider>);
}
