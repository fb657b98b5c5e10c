import type { Result } from '#base/problem';
import type { YieldAccount } from '#matter/account';
import type { Together } from '#matter/guard';
import type { SubstanceId } from '#matter/substance';
import type { VesselName } from '#matter/vessel';
import type { HydrateFinding } from '#model/dry';
import { type BodyOf, type Live, type LogLine, type LogNames, liveOf, logOf, type RunEvent } from '#run/log';
import { type Plan, planTitle, type RunStep } from '#run/plan';
import { assemble, type GoneThrough, goThrough, type Sheet } from '#run/sheet';
import { type Facts, type Op, settingOf, techniques } from '#run/technique';
import { type Alarm, alarmsOf } from './alarm.ts';
import { namesNow, namesWhenDone } from './as-it-was.ts';
import { type Assumed, assumedIn } from './assumed.ts';
import { heldBy } from './held.ts';
import { type PortionState, portionsOf } from './portion.ts';
import { type Remainder, remaindersOf } from './remainder.ts';
import { type StepState, stepState } from './step-state.ts';
import { togetherNow } from './together-now.ts';
import { hydrateFinding, type Weighed, weighingOf, yieldAccount } from './yield-found.ts';

export interface TimerState {
  readonly id: string;
  readonly step: string;
  readonly name: string;
  readonly startedAt: string;
  readonly endsAt: string;
  readonly stopped: boolean;
}

export interface RunState {
  /** What is made, as its plan says it. */
  readonly title: string;
  readonly steps: readonly StepState[];
  readonly sheet: Sheet;
  readonly timers: readonly TimerState[];
  /** What an instrument or a missed look says, now. */
  readonly alarms: readonly Alarm[];
  /** What is in one vessel now and must never be, the vessels one after another. */
  readonly together: readonly Together[];
  readonly portions: readonly PortionState[];
  readonly log: readonly LogLine[];
  /** What was read, in order; corrections folded in. */
  readonly readings: readonly { readonly body: BodyOf<'read'>; readonly at: string }[];
  /** Fractions that were put on the shelf, by the vessel they stood in. */
  readonly shelved: readonly { readonly from: VesselName; readonly bottleId: string }[];
  /** What is still to go in at steps that are over, since the batch was made larger. */
  readonly remainders: readonly Remainder[];
  readonly weighing: Weighed;
  readonly yield: YieldAccount | null;
  /** Which hydrate the mass at constant weight says; null where it cannot say. */
  /** What of it is taken as planned, since it was not entered. */
  readonly assumed: Assumed;
  readonly hydrate: HydrateFinding | null;
  /** The substance that comes of it: the crystals, or what is dissolved. */
  readonly productId: SubstanceId;
  readonly acknowledged: readonly string[];
  readonly status: 'planned' | 'running' | 'done' | 'abandoned';
  readonly abandonedFor: string | null;
  readonly bottles: readonly string[];
  readonly startedAt: string | null;
  readonly finishedAt: string | null;
}

/** Everything that is true of a run now, from its plan and its entries. Pure; the same in browser and server. */
export function runState(plan: Plan, events: readonly RunEvent[], words: Words = 'as they were'): Result<RunState> {
  const gone = goThrough(plan, liveOf(events));
  return gone.ok ? { ok: true, value: stateOf(gone.value, events, words) } : gone;
}

/** Whether a step that is done keeps the amounts it was done with in its words (which costs a fold each), or has today's. */
export type Words = 'as they were' | 'as they are';

function stateOf(gone: GoneThrough, events: readonly RunEvent[], words: Words): RunState {
  const { live, facts } = gone;
  const { plan } = facts;
  const sheet = assemble(gone);
  // What went into a melt is told by what is left at another step.
  const weighedBack = new Set(facts.steps.flatMap(({ op }) => (op.do === 'fuse' ? [op.weighedAt] : [])));
  const steps = gone.steps.map((step) => {
    const names =
      step.status === 'done' && words === 'as they were'
        ? namesWhenDone(plan, events, step.key, sheet)
        : namesNow(sheet, step.key);
    const found = { ...stepState(step, sheet, names), ...inTime(step, gone), held: heldBy(step, facts, sheet) };
    return weighedBack.has(step.key) ? { ...found, reads: 'left' as const } : found;
  });
  const abandoned = live.find(({ body }) => body.kind === 'abandoned');
  const weighing = weighingOf(plan, live, gone.steps);
  const begun = live.find(({ body }) => body.kind === 'started' || body.kind === 'added' || body.kind === 'finished');
  const over = steps.every((step) => step.status === 'done' || step.status === 'skipped');
  return {
    title: planTitle(plan),
    steps,
    sheet,
    timers: timersOf(live),
    alarms: alarmsOf(steps, live),
    together: togetherNow(sheet, gone),
    portions: portionsOf(gone),
    log: logOf(events, namesIn(plan)),
    readings: live.flatMap(({ body, happened }) => (body.kind === 'read' ? [{ body, at: happened.at }] : [])),
    shelved: live.flatMap(({ body }) =>
      body.kind === 'bottled' && body.from ? [{ from: body.from, bottleId: body.bottleId }] : [],
    ),
    remainders: remaindersOf(gone.entries, sheet),
    weighing,
    yield: yieldAccount(plan, { live, sheet, weighing }),
    assumed: assumedIn(plan, { live, steps: gone.steps, sheet, weighing }),
    hydrate: hydrateFinding(plan, sheet, weighing),
    productId: plan.route.makes.substanceId ?? plan.target.substanceId,
    acknowledged: live.flatMap(({ body }) => (body.kind === 'acknowledged' ? [body.caution] : [])),
    status: statusOf(abandoned !== undefined, over, begun !== undefined),
    abandonedFor: abandoned?.body.kind === 'abandoned' ? abandoned.body.reason : null,
    bottles: live.flatMap(({ body }) => (body.kind === 'bottled' && !body.from ? [body.bottleId] : [])),
    startedAt: begun?.happened.at ?? null,
    finishedAt: over
      ? (steps
          .map((step) => step.finishedAt ?? '')
          .sort()
          .at(-1) ?? null)
      : (abandoned?.happened.at ?? null),
  };
}

/** mol of gas that is not worth naming. */
const LEAST_GAS_MOL = 1e-4;

/** How long a step waits by what it does, and what comes off meanwhile. */
function inTime({ key, template }: RunStep, { facts, planned }: GoneThrough): Partial<StepState> {
  const outcome = planned.outcomes.get(key);
  if (!template || !outcome) return {};
  const own = techniques[template.op.do].hours?.(outcome, facts);
  const [least, most] = own ?? template.waitH;
  const gases = outcome.gases.filter(({ amount }) => amount.value > LEAST_GAS_MOL).map(({ id }) => id);
  return {
    modelled: own !== null && own !== undefined,
    standsAtC: temperatureSet(template.op, facts),
    waitH: [Math.max(0, least), Math.max(0, least, most)],
    gases: [...new Set(gases)],
  };
}

/** The temperature that a step is set to, where its control is one. */
function temperatureSet(op: Op, facts: Facts): number | null {
  const id = 'control' in op ? op.control : undefined;
  const control = facts.recipe.controls.find((each) => each.id === id && each.unit === '°C');
  return control ? settingOf(facts, control.id) : null;
}

const NAMES = new WeakMap<Plan, LogNames>();

/** What bottles and roles are called in a plan; the same object for the same plan. */
function namesIn(plan: Plan): LogNames {
  const names = NAMES.get(plan) ?? {
    bottle: (id) => (Object.hasOwn(plan.stock, id) ? plan.stock[id]?.card.name : undefined),
    role: (id) => plan.route.roles.find((each) => each.id === id)?.name,
  };
  NAMES.set(plan, names);
  return names;
}

function statusOf(abandoned: boolean, over: boolean, begun: boolean): RunState['status'] {
  if (abandoned) return 'abandoned';
  if (over) return 'done';
  return begun ? 'running' : 'planned';
}

function timersOf(live: Live): readonly TimerState[] {
  const stopped = new Set(live.flatMap(({ body }) => (body.kind === 'timer-stopped' ? [body.timer] : [])));
  return live.flatMap(({ body, happened }) => {
    if (body.kind !== 'timer-set') return [];
    const endsAt = new Date(Date.parse(happened.at) + body.minutes * 60_000).toISOString();
    return [
      {
        id: body.timer,
        step: body.step,
        name: body.name,
        startedAt: happened.at,
        endsAt,
        stopped: stopped.has(body.timer),
      },
    ];
  });
}
