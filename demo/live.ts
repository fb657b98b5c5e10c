import { normal } from '#base/figure';
import { must } from '#base/lookup';
import { unwrap } from '#base/problem';
import { roundTo } from '#matter/gear';
import type { EventBody, RunEvent } from '#run/log';
import type { Plan } from '#run/plan';
import { type RunState, runState, type StepState } from '#run/state';
import type { TechniqueName } from '#run/technique';
import { whenFree } from './evenings.ts';
import type { DemoBatch } from './scenario.ts';

const HOUR = 3_600_000;
/** Steps at which a thermometer is read while they go on. */
const STANDS: ReadonlySet<TechniqueName> = new Set(['react', 'hold', 'precipitate', 'boil-down', 'make-up']);
const GROWS: ReadonlySet<TechniqueName> = new Set(['evaporate', 'crystallise', 'salt-pair']);

/**
 * Lives one batch through at the bench: the core says what each step asks for, noise says what a person's hand made of
 * it. Entries come with the instant they happened; `id` names them.
 */
export function live(
  plan: Plan,
  batch: DemoBatch,
  startMs: number,
  random: () => number,
  id: (prefix: string) => string,
): RunEvent[] {
  const events: RunEvent[] = [];
  let now = startMs;
  const enter = (body: EventBody, at = now) => {
    const instant = new Date(at).toISOString();
    events.push({ id: id('ev'), happened: { at: instant, giveOrTakeMin: 0 }, writtenAt: instant, body });
  };
  for (const { key } of state(plan, events).steps) {
    const step = must(
      state(plan, events).steps.find((each) => each.key === key),
      'steps',
    );
    if (batch.hours === undefined) now = whenFree(now);
    enter({ kind: 'started', step: key });
    for (const caution of step.cautions)
      if (caution.severity === 'stop') enter({ kind: 'acknowledged', caution: `${key}:${caution.id}` });
    now += 0.4 * handsOn(step);
    if (batch.stopsAt !== key || !step.template?.adding) weigh(plan, step, enter, random);
    const note = batch.notes?.[key];
    if (note) enter({ kind: 'noted', step: key, text: note });
    if (batch.abandoned?.at === key) {
      now += HOUR;
      enter({ kind: 'abandoned', reason: batch.abandoned.reason });
      return events;
    }
    if (batch.stopsAt === key) {
      wait(step, enter, now, id);
      return events;
    }
    now += 0.6 * handsOn(step);
    if (step.technique === 'dry') now = dry(plan, step, batch, enter, now, state(plan, events), random);
    else now += waiting(step, random);
    if (STANDS.has(step.technique))
      enter({
        kind: 'read',
        step: key,
        quantity: 'temperature',
        reading: { is: 'exact', value: roundTo(plan.bench.tempC + 4 * random(), 0.1), unit: '°C' },
        place: '',
      });
    if (batch.hours === undefined) now = whenFree(now);
    enter({ kind: 'finished', step: key });
  }
  return events;
}

function state(plan: Plan, events: readonly RunEvent[]): RunState {
  return unwrap(runState(plan, events));
}

function handsOn(step: StepState): number {
  return ((step.template?.handsOnMin ?? 5) * HOUR) / 60;
}

function waiting(step: StepState, random: () => number): number {
  const [least, most] = step.template?.waitH ?? [0, 0];
  return (least + (most - least) * 0.5 * random()) * HOUR;
}

type Enter = (body: EventBody, at?: number) => void;

/** What a hand pours is near the plan, and read as the instrument shows it. */
function weigh(plan: Plan, step: StepState, enter: Enter, random: () => number): void {
  const { addition } = step;
  if (addition) {
    const { value, unit } = addition.dose.take;
    const spread = unit === 'g' ? 0.004 : 0.008;
    const reading = {
      is: 'exact',
      value: roundTo(value * (1 + spread * normal(random)), unit === 'g' ? plan.bench.balanceG : 0.5),
      unit,
    } as const;
    enter({ kind: 'added', step: step.key, role: addition.role, bottleId: addition.bottleId, reading, reason: '' });
  } else if (step.technique === 'make-up') {
    const planned = state(plan, []).sheet.made?.volume.value;
    if (planned === undefined) return;
    enter({
      kind: 'read',
      step: step.key,
      quantity: 'volume',
      reading: { is: 'exact', value: roundTo(planned * (1 + 0.003 * normal(random)), 1), unit: 'mL' },
      place: '',
    });
  }
}

/** Three weighings that settle on the product; a damp one is weighed once, wet. */
function dry(
  plan: Plan,
  step: StepState,
  batch: DemoBatch,
  enter: Enter,
  start: number,
  now: RunState,
  random: () => number,
): number {
  const expected = now.sheet.product?.value ?? 0;
  const dryMass = expected * (batch.product ?? 1) * (1 + 0.01 * normal(random));
  let at = start;
  for (const [hours, wet] of batch.damp
    ? ([[3, 0]] as const)
    : ([
        [4, 0.06],
        [16, 0.004],
        [22, 0.001],
      ] as const)) {
    at = whenFree(start + hours * HOUR);
    const grams = roundTo(dryMass * (1 + wet), plan.bench.balanceG);
    enter(
      { kind: 'read', step: step.key, quantity: 'mass', reading: { is: 'exact', value: grams, unit: 'g' }, place: '' },
      at,
    );
  }
  return at;
}

/** When somebody last checked after work: at seven in the evening, yesterday or today. */
function lastEvening(present: number): number {
  const evening = new Date(present);
  evening.setHours(19, 0, 0, 0);
  if (evening.getTime() > present - 0.1 * HOUR) evening.setDate(evening.getDate() - 1);
  return evening.getTime();
}

/** A step still under way: its timer, and a few looks at it. */
function wait(step: StepState, enter: Enter, begun: number, id: (prefix: string) => string): void {
  const present = Date.now();
  const look = (hours: number, body: EventBody) => {
    if (begun + hours * HOUR < present) enter(body, begun + hours * HOUR);
  };
  if (GROWS.has(step.technique)) {
    look(5, {
      kind: 'read',
      step: step.key,
      quantity: 'temperature',
      reading: { is: 'exact', value: 13.5, unit: '°C' },
      place: 'dish',
    });
    look(20, {
      kind: 'read',
      step: step.key,
      quantity: 'sight',
      reading: { is: 'sight', enough: false, text: 'a rim of small clear prisms' },
      place: 'dish',
    });
    look(21, {
      kind: 'read',
      step: step.key,
      quantity: 'volume',
      reading: { is: 'band', low: 75, high: 90, unit: 'mL' },
      place: 'dish',
    });
    look(46, {
      kind: 'read',
      step: step.key,
      quantity: 'sight',
      reading: { is: 'sight', enough: true, text: 'prisms to 8 mm, clear' },
      place: 'dish',
    });
  }
  if (step.template?.adding) {
    portions(step, enter, begun);
    return;
  }
  const minutes = step.timer?.minutes ?? 60;
  const since = GROWS.has(step.technique) ? lastEvening(present) : begun;
  enter(
    { kind: 'timer-set', step: step.key, timer: id('timer'), name: step.timer?.name ?? 'look again', minutes },
    since,
  );
}

/** An addition under way: a few portions by the scoop, foam and paper looked at between them. */
function portions(step: StepState, enter: Enter, begun: number): void {
  const { addition } = step;
  if (!addition) return;
  const MINUTE = 60_000;
  const scoops = Math.floor((addition.dose.takeMassG * 0.55) / 5.2 / 4);
  for (let i = 0; i < 4; i++) {
    enter(
      {
        kind: 'added',
        step: step.key,
        role: addition.role,
        bottleId: addition.bottleId,
        reading: { is: 'counted', count: scoops, measure: 'tea scoop', each: 5.2, sd: 0.3, unit: 'g' },
        reason: '',
      },
      begun + i * 4 * MINUTE,
    );
    const seen = { is: 'sight', enough: false, text: 'still fizzes' } as const;
    enter({ kind: 'read', step: step.key, quantity: 'sight', reading: seen, place: '' }, begun + (i * 4 + 2) * MINUTE);
  }
  const gas = { is: 'exact', value: 1.2, unit: 'L' } as const;
  enter({ kind: 'read', step: step.key, quantity: 'gas', reading: gas, place: '' }, begun + 16 * MINUTE);
}
