import { useMemo } from 'react';
import type { VerbInput, VerbName, VerbOutput } from '#contract/verbs';
import { compute } from './door.ts';
import { type Computed, useLatest } from './use-latest.ts';

/** Computes in the worker whenever the input changes; an equal input computes nothing. */
export function useCompute<V extends VerbName>(verb: V, input: VerbInput<V> | undefined): Computed<VerbOutput<V>> {
  // Inputs here are a few numbers, or a shelf: a run goes through its session instead (run-session.ts).
  const text = useMemo(() => (input === undefined ? undefined : JSON.stringify(input)), [input]);
  return useLatest(text, () => (input === undefined ? never() : compute(verb, input)));
}

function never(): never {
  throw new Error('asked without an input');
}
