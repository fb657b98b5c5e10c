import { type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Verb, VerbInput, VerbOutput } from '#contract/verbs';
import type { Spread } from '#core/figure';
import type { Plan } from '#core/plan';
import type { Problem, Result } from '#core/problem';
import type { Door } from './compute.worker.ts';

let remote: Remote<Door> | undefined;

function door(): Remote<Door> {
  remote ??= wrap<Door>(new Worker(new URL('./compute.worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}

/** One computation in the worker. */
export async function compute<V extends Verb>(verb: V, input: VerbInput<V>): Promise<Result<VerbOutput<V>>> {
  const call = door().compute as unknown as (name: V, value: VerbInput<V>) => Promise<Result<VerbOutput<V>>>;
  return await call(verb, input);
}

export interface Computed<T> {
  /** The last good answer; it stays while a newer one is computed or refused. */
  readonly value: T | undefined;
  readonly problem: Problem | undefined;
  readonly busy: boolean;
}

/**
 * Computes in the worker whenever the input changes. While one computation runs, only the newest input waits: what a
 * slider passed over on its way is dropped, so the answer is never more than one computation behind.
 */
export function useCompute<V extends Verb>(verb: V, input: VerbInput<V> | undefined): Computed<VerbOutput<V>> {
  const [state, setState] = useState<Computed<VerbOutput<V>>>({
    value: undefined,
    problem: undefined,
    busy: input !== undefined,
  });
  const waiting = useRef<VerbInput<V> | undefined>(undefined);
  const running = useRef(false);
  const alive = useRef(true);
  const key = input === undefined ? undefined : JSON.stringify(input);

  useEffect(() => {
    alive.current = true;
    return () => {
      alive.current = false;
    };
  }, []);

  // biome-ignore lint/correctness/useExhaustiveDependencies: the input is followed by its JSON, so that an equal one computes nothing
  useEffect(() => {
    if (input === undefined) {
      waiting.current = undefined;
      setState({ value: undefined, problem: undefined, busy: false });
      return;
    }
    waiting.current = input;
    if (running.current) return;
    running.current = true;
    setState((before) => ({ ...before, busy: true }));
    void (async () => {
      while (waiting.current !== undefined && alive.current) {
        const next = waiting.current;
        waiting.current = undefined;
        const result = await compute(verb, next);
        // A newer input is already waiting: its answer is the one to show.
        if (waiting.current !== undefined || !alive.current) continue;
        setState((before) =>
          result.ok
            ? { value: result.value, problem: undefined, busy: false }
            : { value: before.value, problem: result.problem, busy: false },
        );
      }
      running.current = false;
    })();
  }, [verb, key]);

  return state;
}

let tokens = 0;

/** The spread of a plan's result by Monte Carlo; a newer plan drops the one under way. Undefined while it is reckoned. */
export function useSpread(plan: Plan): Spread | undefined {
  const [state, setState] = useState<{ plan: Plan; spread: Spread }>();
  useEffect(() => {
    let alive = true;
    const token = ++tokens;
    void (async () => {
      const spread = await door().spread(plan, token);
      if (alive && spread) setState({ plan, spread });
    })();
    return () => {
      alive = false;
      void door().drop(token);
    };
  }, [plan]);
  return state?.plan === plan ? state.spread : undefined;
}
