import { proxy } from 'comlink';
import { useEffect, useState } from 'react';
import type { VerbInput } from '#contract/verbs';
import type { FitAnswer } from '#model/still';
import { askWorker } from './door.ts';
import { answerOf } from './use-latest.ts';

let tokens = 0;

export interface FitState {
  /** The last good answer; it stays while a newer one is computed. */
  readonly fit: FitAnswer | undefined;
  readonly problem: string;
  /** How far the one under way has come, 0 to 1; null while none is. */
  readonly progress: number | null;
  /** Leaves the search under way; the next readings begin another. */
  readonly cancel: () => void;
}

function dropped(): void {
  void askWorker(async (door) => await door.dropFit()).catch(() => undefined);
}

/** What readings say of a still, found in the worker; newer readings drop the search under way. */
export function useFit(asked: VerbInput<'fitStill'> | undefined): FitState {
  const [state, setState] = useState<Omit<FitState, 'cancel'>>({ fit: undefined, problem: '', progress: null });
  useEffect(() => {
    if (!asked) return;
    let alive = true;
    const token = ++tokens;
    const told = (progress: number) => alive && setState((before) => ({ ...before, progress }));
    void (async () => {
      const found = await answerOf(() => askWorker(async (door) => await door.fitStill(asked, token, proxy(told))));
      if (alive && !found) setState((before) => ({ ...before, progress: null }));
      if (!alive || !found) return;
      setState((before) =>
        found.ok
          ? { fit: found.value, problem: found.value.misfit, progress: null }
          : { fit: before.fit, problem: found.problem.message, progress: null },
      );
    })();
    return () => {
      alive = false;
    };
  }, [asked]);
  return { ...state, cancel: dropped };
}
