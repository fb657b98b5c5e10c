import { expose } from 'comlink';
import type { Spread } from '#base/figure';
import type { Result } from '#base/problem';
import type { VerbInput, VerbName, VerbOutput } from '#contract/verbs';
import { shelfVerbs } from '#contract/verbs/shelf-verbs';
import { isDescribedId, learnName } from '#matter/substance';
import type { FitAnswer } from '#model/still';
import type { RecordAnswer, RecordAsked } from '#run/outcome';
import type { Plan } from '#run/plan';
import type { Advice, CellQuestion, CellRun, StillRun } from '#run/state';
import { Sender, type SentState } from './sent-state.ts';
import { type RunChange, sessionAfter } from './sessions.ts';

const SAMPLES = 10_000;
/** How long a spread keeps the worker to itself, ms: half a frame. */
const TURN_MS = 8;
let latest = 0;

/** Any verb of the compute door. What draws the shelf is here at once; the rest is fetched when it is first wanted. */
async function compute<V extends VerbName>(verb: V, input: VerbInput<V>): Promise<Result<VerbOutput<V>>> {
  if (isShelfVerb(verb)) return answered<V>(shelfVerbs[verb], input);
  const { label, bottle } = LABEL;
  if (verb === label || verb === bottle) {
    const { labelVerbs } = await import('#contract/verbs/label-verbs');
    return answered<V>(labelVerbs[verb === label ? label : bottle], input);
  }
  const [{ verbs }, { admitInput }] = await Promise.all([import('#contract/verbs'), import('#contract/scope')]);
  const allowed = admitInput(verb, input);
  if (!allowed.ok) return allowed;
  return answered<V>(verbs[verb], input);
}

/** What is asked of one bottle comes with the products that are sold, when it is first wanted. */
const LABEL = { label: 'label', bottle: 'bottle' } as const;

function isShelfVerb(verb: string): verb is keyof typeof shelfVerbs {
  return Object.hasOwn(shelfVerbs, verb);
}

function answered<V extends VerbName>(verb: { run: (input: never) => Result<unknown> }, input: VerbInput<V>) {
  // The name chose the verb, and the page's own types its input.
  return verb.run(input as never) as Result<VerbOutput<V>>;
}

const sender = new Sender();

/** The state of a run after what came since, for a page that has a version of it. */
async function run(change: RunChange, has: number): Promise<Result<SentState>> {
  const { plan, events } = sessionAfter(change);
  const { runState } = await import('#run/state');
  const state = runState(plan, events);
  return state.ok ? { ok: true, value: sender.send(change.batchId, has, state.value) } : state;
}

/** What to do next at a step of a run: the fold that its state was read from serves. */
async function advise(change: RunChange, step: string, now: string): Promise<Result<Advice>> {
  const { plan, events } = sessionAfter(change);
  const core = await import('#run/state');
  return core.advise(plan, events, step, now);
}

/**
 * Monte Carlo of a plan's result. Every few milliseconds the worker takes its messages, so that other calls are answered
 * meanwhile, and a newer call (a higher token) or {@link drop} ends it; it then answers null.
 */
async function spread(plan: Plan, token: number): Promise<Spread | null> {
  latest = token;
  const [{ sheetOf }, { spreadOf }] = await Promise.all([import('#run/sheet'), import('#base/figure')]);
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

/** What of a run is distilled, from the same fold. */
async function stills(change: RunChange): Promise<Result<readonly StillRun[]>> {
  const { plan, events } = sessionAfter(change);
  const { stillsOf } = await import('#run/state');
  return stillsOf(plan, events);
}

/** What a record shows beside the state, from the same fold. */
async function record(
  change: RunChange,
  { number, today, ...asked }: RecordAsked & { readonly number: number; readonly today: string },
): Promise<Result<RecordAnswer>> {
  const { plan, events } = sessionAfter(change);
  const [{ runState }, { recordOf }] = await Promise.all([import('#run/state'), import('#run/outcome')]);
  const state = runState(plan, events);
  if (!state.ok) return state;
  const batch = { id: change.batchId, number };
  return { ok: true, value: recordOf({ plan, state: state.value, events, batch, today }, asked) };
}

/** A cell of a run as it stands, from the same fold. */
async function cell(change: RunChange, question: CellQuestion): Promise<Result<CellRun | null>> {
  const { plan, events } = sessionAfter(change);
  const { cellOf } = await import('#run/state');
  return cellOf(plan, events, question);
}

let latestFit = 0;

/** What readings say of a still; `told` hears how far it is, 0 to 1. A newer call ends it: it then answers null. */
async function fitStill(
  asked: VerbInput<'fitStill'>,
  token: number,
  told: (share: number) => void,
): Promise<Result<FitAnswer> | null> {
  latestFit = token;
  const { fitting } = await import('#model/still');
  const run = fitting(asked);
  for (;;) {
    const step = run.next();
    if (step.done) return step.value;
    told(step.value);
    await new Promise((breathe) => setTimeout(breathe, 0));
    if (token !== latestFit) return null;
  }
}

/** The search under way is left. */
function dropFit(): void {
  latestFit = -1;
}

/** Nobody waits for a spread any more. */
function drop(token: number): void {
  if (token === latest) latest = -1;
}

/** Lets what its owner has described be found by name. */
function learn(ids: readonly string[]): void {
  for (const id of ids) if (isDescribedId(id)) learnName(id);
}

// The same functions as behind HTTP and the command line, away from the page's own thread.
const door = { compute, run, advise, stills, cell, record, fitStill, dropFit, spread, drop, learn };
export type Door = typeof door;
expose(door);
