import { useEffect, useRef, useState } from 'react';
import { fail, type Problem, type Result } from '#base/problem';

export interface Computed<T> {
  /** The last good answer; it stays while a newer one is computed or refused. */
  readonly value: T | undefined;
  readonly problem: Problem | undefined;
  /** Whether what is shown answers an older question than the one that stands. */
  readonly busy: boolean;
}

interface Answered<Key, T> {
  readonly key: Key | undefined;
  readonly value: T | undefined;
  readonly problem: Problem | undefined;
}

/**
 * Asks again whenever `key` changes; undefined asks nothing. While one question is out, only the newest waits: what a slider
 * passed over on its way is dropped, so the answer is never more than one question behind.
 */
export function useLatest<Key, T>(key: Key | undefined, ask: (key: Key) => Promise<Result<T>>): Computed<T> {
  const [state, setState] = useState<Answered<Key, T>>({ key: undefined, value: undefined, problem: undefined });
  const waiting = useRef<{ readonly key: Key; readonly ask: () => Promise<Result<T>> } | undefined>(undefined);
  const running = useRef(false);
  const alive = useRef(true);

  useEffect(() => {
    alive.current = true;
    return () => {
      alive.current = false;
    };
  }, []);

  // biome-ignore lint/correctness/useExhaustiveDependencies: the question is followed by its key
  useEffect(() => {
    if (key === undefined) {
      waiting.current = undefined;
      setState({ key: undefined, value: undefined, problem: undefined });
      return;
    }
    waiting.current = { key, ask: () => ask(key) };
    if (running.current) return;
    running.current = true;
    void (async () => {
      while (waiting.current !== undefined && alive.current) {
        const next = waiting.current;
        waiting.current = undefined;
        const result = await answerOf(next.ask);
        // A newer question is already waiting: its answer is the one to show.
        if (waiting.current !== undefined || !alive.current) continue;
        setState((before) =>
          result.ok
            ? { key: next.key, value: result.value, problem: undefined }
            : { key: next.key, value: before.value, problem: result.problem },
        );
      }
      running.current = false;
    })();
  }, [key]);

  // By its key, not by a flag: in the very render that asks, the answer on hand is already the old one.
  return { value: state.value, problem: state.problem, busy: state.key !== key };
}

/** A question that breaks is answered with a sentence: the next one must still be asked. */
export async function answerOf<A extends Result<unknown> | null>(ask: () => Promise<A>): Promise<A | Result<never>> {
  try {
    return await ask();
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error);
    return fail(
      'went-wrong',
      `This could not be computed: ${why}. What was entered is kept; loading the page again helps.`,
    );
  }
}
