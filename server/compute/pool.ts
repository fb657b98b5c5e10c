import { fileURLToPath } from 'node:url';
import { Piscina } from 'piscina';
import { problem } from '#base/problem';
import { refused, type Written } from './answer.ts';

/** No question of a bench takes longer; what does is broken off, ms. */
const PATIENCE_MS = 10_000;
const THREADS = 2;
/** Questions that wait for a thread; more are told to come again. */
const MOST_WAITING = 32;
const MOST_MEMORY_MB = 768;

/** Built, it lies beside the server; run from its sources, in its room. */
const BESIDE = new URL(
  import.meta.url.endsWith('.ts') ? './compute-worker.ts' : './compute-worker.js',
  import.meta.url,
);

interface PoolOptions {
  readonly patienceMs?: number;
  /** What a thread runs. */
  readonly worker?: URL;
}

/** Threads that compute for whoever asks over HTTP: the server goes on answering meanwhile. */
export function computePool({ patienceMs = PATIENCE_MS, worker = BESIDE }: PoolOptions = {}) {
  const pool = new Piscina<{ readonly verb: string; readonly body: unknown }, Written>({
    filename: fileURLToPath(worker),
    ...(worker.pathname.endsWith('.ts') ? { execArgv: ['--import', 'tsx'] } : {}),
    minThreads: 0,
    maxThreads: THREADS,
    idleTimeout: 60_000,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB },
  });
  let asked = 0;
  const ask = async (verb: string, body: unknown): Promise<Written> => {
    if (asked >= MOST_WAITING)
      return refused(problem('busy', 'Too much is being computed just now: ask again in a moment.'));
    asked += 1;
    try {
      return await pool.run({ verb, body }, { signal: AbortSignal.timeout(patienceMs) });
    } catch (error) {
      const { name, code } = error as Error & { code?: string };
      if (name === 'AbortError')
        return refused(
          problem(
            'busy',
            `This took longer than ${patienceMs / 1000} seconds and was broken off: ask for less at once, fewer entries or a coarser step.`,
          ),
        );
      if (code === 'ERR_WORKER_OUT_OF_MEMORY')
        return refused(problem('busy', 'This needs more memory than a bench has: ask for less at once.'));
      throw error;
    } finally {
      asked -= 1;
    }
  };
  return { ask, close: () => pool.destroy() };
}
