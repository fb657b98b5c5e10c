import { expose } from 'comlink';
import { shelfVerbs } from '#contract/shelf-verbs';
import type { Verb, VerbInput, VerbOutput } from '#contract/verbs';
import type { Spread } from '#core/figure';
import type { Plan } from '#core/plan';
import type { Result } from '#core/problem';

const SAMPLES = 10_000;
/** How long a spread keeps the worker to itself, ms: half a frame. */
const TURN_MS = 8;
let latest = 0;

/** Any verb of the compute door. What the shelf asks is here at once; the rest is fetched when it is first wanted. */
async function compute<V extends Verb>(verb: V, input: VerbInput<V>): Promise<Result<VerbOutput<V>>> {
  const verbs = verb in shelfVerbs ? shelfVerbs : (await import('#contract/verbs')).verbs;
  const run = verbs[verb as keyof typeof shelfVerbs] as unknown as (value: VerbInput<V>) => Result<VerbOutput<V>>;
  return run(input);
}

/**
 * Monte Carlo of a plan's result. Every few milliseconds the worker takes its messages, so that other calls are answered
 * meanwhile, and a newer call (a higher token) or {@link drop} ends it; it then answers null.
 */
async function spread(plan: Plan, token: number): Promise<Spread | null> {
  latest = token;
  const [{ sheetOf }, { spreadOf }] = await Promise.all([import('#core/run'), import('#core/figure')]);
  const sheet = sheetOf(plan);
  const figure = sheet.ok ? (sheet.value.product ?? sheet.value.made?.strength) : undefined;
  if (!figure) return null;
  const run = spreadOf(figure, SAMPLES, 20_260_314);
  for (let breath = performance.now(); ; ) {
    const step = run.next();
    if (step.done) return step.value;
    if (performance.now() - breath < TURN_MS) continue;
    await new Promise((breathe) => setTimeout(breathe, 0));
    if (token !== latest) return null;
    breath = performance.now();
  }
}

/** Nobody waits for a spread any more. */
function drop(token: number): void {
  if (token === latest) latest = -1;
}

// The same functions as behind HTTP and the command line, away from the page's own thread.
const door = { compute, spread, drop };
export type Door = typeof door;
expose(door);
