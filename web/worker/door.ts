import { type Remote, wrap } from 'comlink';
import type { Result } from '#base/problem';
import type { VerbInput, VerbName, VerbOutput } from '#contract/verbs';
import type { Door } from './compute.worker.ts';

/** The worker did not load, broke, or sent what cannot be read: what was asked of it has no answer. */
class WorkerLost extends Error {
  constructor() {
    super('the part of the page that computes has stopped, and was started again');
  }
}

/** A worker, and what ends every question to it when it is lost. */
interface Open {
  readonly remote: Remote<Door>;
  readonly lost: Promise<never>;
}

let open: Open | undefined;
const restarts = new Set<() => void>();

/** Told when a new worker takes the place of one that was lost: what the old one was sent is gone with it. */
export function whenRestarted(tell: () => void): () => void {
  restarts.add(tell);
  return () => void restarts.delete(tell);
}

function begun(): Open {
  if (open) return open;
  const worker = new Worker(new URL('./compute.worker.ts', import.meta.url), { type: 'module' });
  const lost = new Promise<never>((_, reject) => {
    const end = () => {
      worker.terminate();
      if (open?.lost !== lost) return;
      open = undefined;
      for (const tell of restarts) tell();
      reject(new WorkerLost());
    };
    worker.addEventListener('error', end);
    worker.addEventListener('messageerror', end);
  });
  // Nobody may be waiting when it is lost.
  lost.catch(() => undefined);
  open = { remote: wrap<Door>(worker), lost };
  return open;
}

/**
 * Asks the worker, which is begun when it is first wanted. A worker that is lost is begun again and asked once more; lost again,
 * the question fails with a sentence. What is asked changes nothing, so that it may be asked twice.
 */
export async function askWorker<T>(question: (door: Remote<Door>) => Promise<T>): Promise<T> {
  const first = begun();
  try {
    return await Promise.race([question(first.remote), first.lost]);
  } catch (error) {
    if (!(error instanceof WorkerLost)) throw error;
    const again = begun();
    return await Promise.race([question(again.remote), again.lost]);
  }
}

/** One computation in the worker. */
export async function compute<V extends VerbName>(verb: V, input: VerbInput<V>): Promise<Result<VerbOutput<V>>> {
  return (await askWorker(async (door) => await door.compute(verb, input))) as Result<VerbOutput<V>>;
}
