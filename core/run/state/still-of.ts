import { must } from '#base/lookup';
import { ok, type Result } from '#base/problem';
import { readingValue } from '#base/reading';
import { isSubstanceId, type SubstanceId } from '#matter/substance';
import type { Place, VesselName } from '#matter/vessel';
import type { StillAsked, StillReading } from '#model/still';
import { liveOf, type RunEvent } from '#run/log';
import type { Plan, RunStep } from '#run/plan';
import { type GoneThrough, goThrough } from '#run/sheet';
import { type Op, placeOf } from '#run/technique';
import { advise } from './advise.ts';
import { gramsByPlace } from './grams-by-place.ts';

/** One receiver of a distillation, as it is planned. */
export interface StillCut {
  readonly step: string;
  readonly title: string;
  readonly into: VesselName;
  readonly control: string;
  readonly by: 'share' | 'pot';
  /** mL over when it is changed, and °C of head and flask then. */
  readonly toMl: number;
  readonly headC: number;
  readonly potC: number;
  readonly status: 'waiting' | 'ready' | 'running' | 'done' | 'skipped';
}

/** One distillation of a run as a whole: the receivers that one charge goes over into. */
export interface StillRun {
  readonly asked: StillAsked;
  readonly pctSd: number;
  readonly volatile: SubstanceId;
  /** The vessel that is heated. */
  readonly flask: Place;
  /** g of what counts in every place before the first cut: none of it is of this charge, but what is in the flask. */
  readonly hadG: Readonly<Partial<Record<Place, number>>>;
  readonly cuts: readonly StillCut[];
  /** The vessel that holds what is made. */
  readonly kept: VesselName | null;
  /** What was read by hand, from the first drop on. */
  readonly readings: readonly StillReading[];
  /** ISO instant of the first drop, as far as it was entered. */
  readonly firstDropAt: string | null;
  /** ISO instant at which the distillation before it ended; null where it is the first. What instruments showed until then is of that. */
  readonly since: string | null;
}

type Cut = { readonly step: RunStep; readonly op: Extract<Op, { do: 'distil' }> };

/**
 * Every distillation of a run, each with its flask as it was charged, in their order: cuts from one flask are of one, as long as
 * nothing but waiting lies between them. None where nothing is distilled. Refuses as the sheet does.
 */
export function stillsOf(plan: Plan, events: readonly RunEvent[]): Result<readonly StillRun[]> {
  const live = liveOf(events);
  const gone = goThrough(plan, live);
  if (!gone.ok) return gone;
  const found: StillRun[] = [];
  let since: string | null = null;
  const all = distillations(gone.value.steps);
  for (const [i, cuts] of all.entries()) {
    const still = oneOf(plan, events, { gone: gone.value, cuts, since, isLast: i === all.length - 1 });
    if (!still.ok) return still;
    if (still.value) found.push(still.value);
    since = cuts.at(-1)?.step.finishedAt ?? since;
  }
  return ok(found);
}

/** The distillation that a step belongs to; without a step the one that is on, else the last. */
export function stillAt(stills: readonly StillRun[], step?: string): StillRun | null {
  const own = step === undefined ? undefined : stills.find(({ cuts }) => cuts.some((cut) => cut.step === step));
  const isOn = ({ cuts }: StillRun) => cuts.some(({ status }) => status !== 'done' && status !== 'skipped');
  return own ?? stills.find(isOn) ?? stills.at(-1) ?? null;
}

function distillations(steps: readonly RunStep[]): readonly (readonly Cut[])[] {
  const all: Cut[][] = [];
  let goesOn = false;
  for (const step of steps) {
    const op = step.template?.op;
    if (op?.do === 'distil' && !step.inserted) {
      const before = all.at(-1);
      const same =
        goesOn && before?.[0] && placeOf(before[0].op) === placeOf(op) && before[0].op.volatile === op.volatile;
      if (same && before) before.push({ step, op });
      else all.push([{ step, op }]);
      goesOn = true;
    } else if (op && op.do !== 'plain' && op.do !== 'hold') goesOn = false;
  }
  return all;
}

function oneOf(
  plan: Plan,
  events: readonly RunEvent[],
  {
    gone,
    cuts: steps,
    since,
    isLast,
  }: {
    readonly gone: GoneThrough;
    readonly cuts: readonly Cut[];
    readonly since: string | null;
    readonly isLast: boolean;
  },
): Result<StillRun | null> {
  const first = must(steps[0], 'cut');
  const advice = advise(plan, events, first.step.key, new Date(0).toISOString());
  if (!advice.ok) return advice;
  const own = advice.value.own;
  if (own?.do !== 'distil' || !own.says) return ok(null);
  const { planned, done, live } = gone;
  let over = 0;
  const cuts = steps.map(({ step, op }): StillCut => {
    const figures = planned.outcomes.get(step.key)?.figures ?? {};
    over = figures['still.over']?.value ?? over;
    return {
      step: step.key,
      title: step.template?.title ?? '',
      into: op.into,
      control: op.control,
      by: op.by ?? 'share',
      toMl: over,
      headC: figures['distil.head']?.value ?? Number.NaN,
      potC: figures['distil.pot']?.value ?? Number.NaN,
      status: step.status,
    };
  });
  const { makes } = plan.route;
  const firstDropAt = firstDropOf(gone.steps, first.step.key);
  const kept = makes.kind === 'liquid' ? keptIn(makes.vessel, cuts, isLast) : null;
  // Where nothing of it is kept, what counts is what is driven off.
  const { still, volatile: named } = own.says;
  const volatile = kept === null && !isLast && isSubstanceId(still.first) ? still.first : named;
  return ok({
    asked: own.says.still,
    pctSd: own.says.pctSd,
    volatile,
    flask: placeOf(first.op),
    hadG: gramsByPlace((done ?? planned).before.get(first.step.key) ?? {}, volatile),
    cuts,
    kept,
    readings: firstDropAt === null ? [] : byHand(live, new Set(cuts.map(({ step }) => step)), Date.parse(firstDropAt)),
    firstDropAt,
    since,
  });
}

/** The receiver that is kept: the product’s own vessel, or, where it goes on from there, the last one. Null for what stays in the flask. */
function keptIn(vessel: VesselName, cuts: readonly StillCut[], isLast: boolean): VesselName | null {
  if (cuts.some(({ into }) => into === vessel)) return vessel;
  return vessel === 'pot' || !isLast ? null : (cuts.at(-1)?.into ?? null);
}

/** The step before the first cut ends with the first drop; failing that, the cut begins with it. */
function firstDropOf(
  steps: readonly { readonly key: string; readonly finishedAt: string | null; readonly startedAt: string | null }[],
  firstCut: string,
): string | null {
  const at = steps.findIndex(({ key }) => key === firstCut);
  return steps[at - 1]?.finishedAt ?? steps[at]?.startedAt ?? null;
}

/** Head and flask by hand, each with the moment; volumes counted over all receivers. */
function byHand(live: ReturnType<typeof liveOf>, cuts: ReadonlySet<string>, zero: number): readonly StillReading[] {
  const found: StillReading[] = [];
  let before = 0;
  let here = 0;
  let step = '';
  for (const { body, happened } of live) {
    if (body.kind !== 'read' || !cuts.has(body.step)) continue;
    if (body.step !== step) {
      before += here;
      here = 0;
      step = body.step;
    }
    const value = readingValue(body.reading);
    const minutes = (Date.parse(happened.at) - zero) / 60_000;
    if (!value || minutes < 0) continue;
    if (body.quantity === 'temperature' && value.unit === '°C')
      found.push(body.place === 'pot' ? { minutes, potC: value.value } : { minutes, headC: value.value });
    if (body.quantity === 'volume') {
      here = value.value;
      found.push({ minutes, overMl: before + here });
    }
  }
  return found;
}
