import { ok, type Result } from '#base/problem';
import { readingValue } from '#base/reading';
import type { SubstanceId } from '#matter/substance';
import type { VesselName } from '#matter/vessel';
import type { StillAsked, StillReading } from '#model/still';
import { liveOf, type RunEvent } from '#run/log';
import type { Plan } from '#run/plan';
import { goThrough } from '#run/sheet';
import { advise } from './advise.ts';

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

/** The distillation of a run as a whole. */
export interface StillRun {
  readonly asked: StillAsked;
  readonly pctSd: number;
  readonly volatile: SubstanceId;
  readonly cuts: readonly StillCut[];
  /** The vessel that holds what is made. */
  readonly kept: VesselName | null;
  /** What was read by hand, from the first drop on. */
  readonly readings: readonly StillReading[];
  /** ISO instant of the first drop, as far as it was entered. */
  readonly firstDropAt: string | null;
}

/** What of a run is distilled, with the flask as it was charged; null where nothing is. Refuses as the sheet does. */
export function stillOf(plan: Plan, events: readonly RunEvent[]): Result<StillRun | null> {
  const live = liveOf(events);
  const gone = goThrough(plan, live);
  if (!gone.ok) return gone;
  const steps = gone.value.steps.flatMap((step) => {
    const op = step.template?.op;
    return op?.do === 'distil' && !step.inserted ? [{ step, op }] : [];
  });
  const [first] = steps;
  if (!first) return ok(null);
  const advice = advise(plan, events, first.step.key, new Date(0).toISOString());
  if (!advice.ok) return advice;
  const own = advice.value.own;
  if (own?.do !== 'distil' || !own.says) return ok(null);
  const { planned } = gone.value;
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
  const firstDropAt = firstDropOf(
    gone.value.steps.map(({ key, finishedAt, startedAt }) => ({ key, finishedAt, startedAt })),
    first.step.key,
  );
  return ok({
    asked: own.says.still,
    pctSd: own.says.pctSd,
    volatile: own.says.volatile,
    cuts,
    kept: makes.kind === 'liquid' ? keptIn(makes.vessel, cuts) : null,
    readings: firstDropAt === null ? [] : byHand(live, new Set(cuts.map(({ step }) => step)), Date.parse(firstDropAt)),
    firstDropAt,
  });
}

/** The receiver that is kept: the product’s own vessel, or, where it goes on from there, the last one. Null for what stays in the flask. */
function keptIn(vessel: VesselName, cuts: readonly StillCut[]): VesselName | null {
  if (cuts.some(({ into }) => into === vessel)) return vessel;
  return vessel === 'pot' ? null : (cuts.at(-1)?.into ?? null);
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
