import { type Remote, wrap } from 'comlink';
import type { Result } from '#base/problem';
import type { VerbInput, VerbName, VerbOutput } from '#contract/verbs';
import type { Door } from './compute.worker.ts';

let remote: Remote<Door> | undefined;

/** The worker, begun when it is first wanted. */
export function door(): Remote<Door> {
  remote ??= wrap<Door>(new Worker(new URL('./compute.worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}

/** One computation in the worker. */
export async function compute<V extends VerbName>(verb: V, input: VerbInput<V>): Promise<Result<VerbOutput<V>>> {
  return (await door().compute(verb, input)) as Result<VerbOutput<V>>;
}
