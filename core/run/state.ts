import type { YieldAccount } from '#core/account';
import type { ConstantMass, HydrateFinding } from '#core/dry';
import type { Caution } from '#core/guard';
import type { Result } from '#core/problem';
import { routeById, type StepTemplate } from '#core/route';
import { type Alarm, alarmsOf } from './alarm.ts';
import { applyCorrections, type RunEvent } from './event.ts';
import { type LogLine, logOf } from './log.ts';
import type { Plan } from './plan.ts';
import { type PortionState, portionsOf } from './portion.ts';
import { type ChargeLine, type Sheet, sheetOf } from './sheet.ts';
import { type RunStep, stepsOf } from './steps.ts';
import { fillTemplate, type TextPart } from './template.ts';
import { hydrateFinding, weighingOf, yieldAccount } from './yielded.ts';

export type { LogLine } from './log.ts';
export type { StepStatus } from './steps.ts';

export interface StepState extends RunStep {
  readonly title: readonly TextPart[];
  readonly act: readonly TextPart[];
  readonly until: readonly TextPart[];
  readonly expect: readonly TextPart[];
  readonly trouble: readonly TextPart[];
  readonly why: readonly TextPart[];
  readonly skipCosts: readonly TextPart[];
  readonly panel: StepTemplate['panel'];
  readonly where: StepTemplate['where'];
  readonly leave: StepTemplate['leave'];
  readonly ceilingC: number | null;
  readonly timer: StepTemplate['timer'];
  readonly charge: ChargeLine | null;
  readonly cautions: readonly Caution[];
}

export interface TimerState {
  readonly id: string;
  readonly step: string;
  readonly name: string;
  readonly startedAt: string;
  readonly endsAt: string;
  readonly stopped: boolean;
}

export interface RunState {
  readonly steps: readonly StepState[];
  readonly sheet: Sheet;
  readonly timers: readonly TimerState[];
  /** What an instrument or a missed look says, now. */
  readonly alarms: readonly Alarm[];
  readonly portions: readonly PortionState[];
  readonly log: readonly LogLine[];
  readonly weighing: ConstantMass;
  readonly yield: YieldAccount | null;
  /** Which hydrate the mass at constant weight says; null where it cannot say. */
  readonly hydrate: HydrateFinding | null;
  /** The substance that comes of it: the crystals, or what is dissolved. */
  readonly productId: string;
  readonly acknowledged: readonly string[];
  readonly status: 'planned' | 'running' | 'done' | 'abandoned';
  readonly abandonedFor: string | null;
  readonly bottles: readonly string[];
  readonly startedAt: string | null;
  readonly finishedAt: string | null;
}

/** Everything that is true of a run now, from its plan and its events. Pure; the same in browser and server. */
export function runState(plan: Plan, events: readonly RunEvent[]): Result<RunState> {
  const sheet = sheetOf(plan, events);
  if (!sheet.ok) return sheet;
  const live = applyCorrections(events);
  const steps = stepsOf(plan, events).map((step) => dress(step, sheet.value));
  const abandoned = live.find(({ body }) => body.kind === 'abandoned');
  const weighing = weighingOf(plan, live);
  const begun = live.find(({ body }) => body.kind === 'started' || body.kind === 'charged' || body.kind === 'finished');
  const over = steps.every((step) => step.status === 'done' || step.status === 'skipped');
  return {
    ok: true,
    value: {
      steps,
      sheet: sheet.value,
      timers: timersOf(live),
      alarms: alarmsOf(steps, live),
      portions: portionsOf(live, sheet.value),
      log: logOf(plan, events),
      weighing,
      yield: yieldAccount(plan, live, sheet.value, weighing),
      hydrate: hydrateFinding(plan, sheet.value, weighing),
      productId: productIdOf(plan),
      acknowledged: live.flatMap(({ body }) => (body.kind === 'acknowledged' ? [body.caution] : [])),
      status: statusOf(abandoned !== undefined, over, begun !== undefined),
      abandonedFor: abandoned?.body.kind === 'abandoned' ? abandoned.body.reason : null,
      bottles: live.flatMap(({ body }) => (body.kind === 'bottled' ? [body.bottleId] : [])),
      startedAt: begun?.happened.at ?? null,
      finishedAt: over
        ? (steps
            .map((step) => step.finishedAt ?? '')
            .sort()
            .at(-1) ?? null)
        : (abandoned?.happened.at ?? null),
    },
  };
}

function productIdOf(plan: Plan): string {
  return routeById(plan.routeId)?.makes.substanceId ?? plan.target.substanceId;
}

function statusOf(abandoned: boolean, over: boolean, begun: boolean): RunState['status'] {
  if (abandoned) return 'abandoned';
  if (over) return 'done';
  return begun ? 'running' : 'planned';
}

function dress(step: RunStep, sheet: Sheet): StepState {
  const { template, inserted } = step;
  const fill = (text: string) => fillTemplate(text, sheet.names);
  const plain = (text: string): readonly TextPart[] => (text === '' ? [] : [{ is: 'text', text }]);
  const title = inserted ? plain(inserted.title) : fill(template?.title ?? '');
  return {
    ...step,
    title,
    act: template ? fill(template.act) : [],
    until: fill(template?.until ?? ''),
    expect: fill(template?.expect ?? ''),
    trouble: fill(template?.trouble ?? ''),
    why: inserted ? plain(inserted.why) : fill(template?.why ?? ''),
    skipCosts: fill(template?.skipCosts ?? ''),
    panel: inserted?.repeats === null ? 'plain' : (template?.panel ?? 'plain'),
    where: template?.where ?? 'anywhere',
    leave: inserted ? { ...inserted.leave, reason: 'as you set it' } : template!.leave,
    ceilingC: template?.ceilingC ?? null,
    timer: template?.timer ?? null,
    charge: sheet.charges.find((line) => line.step === step.key) ?? null,
    cautions: sheet.cautions[template?.id ?? ''] ?? [],
  };
}

function timersOf(events: readonly RunEvent[]): readonly TimerState[] {
  const stopped = new Set(events.flatMap(({ body }) => (body.kind === 'timer-stopped' ? [body.timer] : [])));
  return events.flatMap(({ body, happened }) => {
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
