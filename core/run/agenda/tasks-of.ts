import { type RunState, type StepState, titleText } from '#run/state';
import type { TechniqueName } from '#run/technique';
import type { Task } from '#run/week';
import { type Paces, paced } from './pace.ts';
import { soonOf } from './soon.ts';

/** A step of a run on its way into a week: what the week needs of it, and what a person wants to know of it. */
export interface BenchTask extends Task {
  /** Of the run; empty for what is not a step of one. */
  readonly step: string;
  readonly where: StepState['where'];
  /** How often it is looked at while it waits, min. */
  readonly lookEveryMin: number | null;
  /** °C above which it raises an alarm. */
  readonly ceilingC: number | null;
  /** How many of this bench’s own runs its time is from; 0 where it is the model’s or the route’s. */
  readonly ownRuns: number;
  /** Why it must come soon after what goes before it; empty where it may wait. */
  readonly soon: string;
}

/** What there is one of at a bench, by the kind of step that holds it until it is over. */
const GEAR: Readonly<Partial<Record<TechniqueName, readonly string[]>>> = {
  'boil-down': ['hotplate'],
  'dry-up': ['hotplate'],
  fuse: ['burner'],
  distil: ['hotplate', 'still', 'condenser'],
  esterify: ['hotplate', 'condenser'],
  electrolyse: ['supply'],
  filter: ['filter'],
  separate: ['separating funnel'],
  evaporate: ['wide dish'],
};

/** What is kept so much colder than the room stands in the fridge box, K. */
const COOLER_K = 5;
const ROOM_C = 20;
const FRIDGE = 'fridge box';

function gearOf({ technique, standsAtC, waitH, leave }: StepState, roomC: number): readonly string[] {
  const cold = standsAtC !== null && standsAtC < roomC - COOLER_K && waitH[1] > 0;
  // Left for days until it is dry it needs no heat.
  const kind = technique === 'dry-up' && leave.alone ? 'evaporate' : technique;
  return [...(GEAR[kind] ?? []), ...(cold ? [FRIDGE] : [])];
}

/** Below this the cooling water of a condenser freezes in its hoses, °C; above this nobody does anything outdoors that is in question. */
const FROST_C = 0;
const HOTTEST_C = 60;
const COLDEST_C = -60;
/** A step outdoors that must stay as cold as this is not begun on a day that is warmer, °C. */
const COOL_C = 30;

function airFor({ where, technique, ceilingC }: StepState): Pick<Task, 'airC'> {
  if (where !== 'outdoors') return {};
  const runs = technique === 'distil' || technique === 'esterify';
  const cool = ceilingC !== null && ceilingC <= COOL_C;
  return runs || cool ? { airC: [runs ? FROST_C : COLDEST_C, cool ? ceilingC : HOTTEST_C] } : {};
}

/** Looked at more often than this, somebody stays with it; more seldom, somebody is awake in the house, or it is left. */
const OFTEN_MIN = 30;
const SELDOM_MIN = 240;
const MINUTE_MS = 60_000;

/**
 * The steps of a run that are still to come or under way, as the week sees them: hands-on time, waits by the models where they know
 * them, by the route where not, by one's own runs where there are enough; whether they may be left, daylight for what is done
 * outdoors, gear, what they give into the air, how soon they must follow what goes before. `from` is the beginning of the week, `now`
 * the present, ms: what is under way keeps its place, is over no sooner than now, and what of it lies before the week is over.
 */
export function tasksOf(
  batch: string,
  { steps }: Pick<RunState, 'steps'>,
  when: { readonly from: number; readonly now: number; readonly paces?: Paces; readonly roomC?: number },
): readonly BenchTask[] {
  const open = steps.filter(({ status }) => status !== 'done' && status !== 'skipped');
  const keys = new Set(open.map(({ key }) => key));
  const by = new Map(steps.map((step) => [step.key, step]));
  return open.map((step) => ({
    id: `${batch} ${step.key}`,
    batch,
    step: step.key,
    title: titleText(step),
    daylight: step.where === 'outdoors',
    where: step.where,
    lookEveryMin: step.leave.lookEveryMin,
    ceilingC: step.ceilingC,
    gear: [...gearOf(step, when.roomC ?? ROOM_C)],
    ...airFor(step),
    after: step.needs.filter((each) => keys.has(each)).map((each) => `${batch} ${each}`),
    wait: waitOf(step),
    ...airOf(step),
    ...timesOf(step, when),
    ...soonAfter(step, by.get(step.needs.at(-1) ?? ''), when),
  }));
}

function waitOf({ leave: { alone, lookEveryMin } }: StepState): Task['wait'] {
  if (!alone && (lookEveryMin === null || lookEveryMin < OFTEN_MIN)) return 'stay';
  return !alone || (lookEveryMin !== null && lookEveryMin < SELDOM_MIN) ? 'near' : 'alone';
}

/** How soon it must follow what goes before; where that is done already, until when it is over in time. */
function soonAfter(
  step: StepState,
  before: StepState | undefined,
  when: Parameters<typeof timesOf>[1],
): Pick<BenchTask, 'withinMin' | 'byMin' | 'soon'> {
  const soon = soonOf(step, before);
  if (!soon || step.status === 'running') return { soon: '' };
  const { withinMin, why } = soon;
  if (!before?.finishedAt) return { withinMin, soon: why };
  const { handsOnMin, waitMin } = timesOf(step, when);
  const done = (Date.parse(before.finishedAt) - when.from) / MINUTE_MS;
  return { byMin: done + withinMin + handsOnMin + waitMin[1], soon: why };
}

type Times = Pick<BenchTask, 'handsOnMin' | 'waitMin' | 'startedMin' | 'ownRuns'>;

function timesOf(step: StepState, { from, now, paces }: Parameters<typeof tasksOf>[2]): Times {
  const { handsOnMin, waitMin, ownRuns } = paced(step, paces);
  if (step.startedAt === null || step.status !== 'running') return { handsOnMin, waitMin, ownRuns };
  const started = (Date.parse(step.startedAt) - from) / MINUTE_MS;
  // What of it is over before the week begins is no longer waited for; nothing under way is over before now.
  const gone = Math.max(0, -started);
  const begins = Math.max(0, started);
  const hands = Math.max(0, handsOnMin - gone);
  const atLeast = Math.max(0, (now - from) / MINUTE_MS - begins - hands);
  const rest = (min: number) => Math.max(0, atLeast, min - Math.max(0, gone - handsOnMin));
  // What has lasted longer than the model has it may last as long as its route says.
  const outlasted = (now - from) / MINUTE_MS - started > handsOnMin + waitMin[1];
  const most = outlasted ? Math.max(waitMin[1], 60 * (step.template?.waitH[1] ?? 0)) : waitMin[1];
  return { handsOnMin: hands, waitMin: [rest(waitMin[0]), rest(most)], startedMin: begins, ownRuns };
}

const ACID = 'acid vapour';
const AMMONIA = 'ammonia';
const HALOGEN = 'chlorine or bromine';
const BURNS = 'what burns';
const FLAME = 'a flame';

/** What must not be in the air of one room together. */
const APART: Readonly<Record<string, readonly string[]>> = {
  [ACID]: [AMMONIA],
  [AMMONIA]: [ACID, HALOGEN],
  [HALOGEN]: [AMMONIA, BURNS],
  [BURNS]: [FLAME, HALOGEN],
  [FLAME]: [BURNS],
};
const BY_GAS: Readonly<Record<string, string>> = {
  ammonia: AMMONIA,
  hydrogen: BURNS,
  chlorine: HALOGEN,
  bromine: HALOGEN,
  'hydrogen-chloride': ACID,
  'sulfur-dioxide': ACID,
  'nitrogen-dioxide': ACID,
};
const BY_CAUTION: Readonly<Record<string, string>> = {
  flammable: BURNS,
  hydrogen: BURNS,
  'cell-gas': BURNS,
  'ammonia-gas': AMMONIA,
  'acid-gas': ACID,
  chlorine: HALOGEN,
  bromine: HALOGEN,
};

/** What a step gives into the air, and what must not be in it beside that. */
function airOf({ gases, cautions, technique }: StepState): Pick<Task, 'gives' | 'shuns'> {
  const given = [
    ...gases.map((id) => BY_GAS[id]),
    ...cautions.map(({ id }) => BY_CAUTION[id]),
    ...(technique === 'fuse' ? [FLAME] : []),
  ].flatMap((each) => each ?? []);
  const gives = [...new Set(given)];
  const shuns = [...new Set(gives.flatMap((each) => APART[each] ?? []))];
  return gives.length > 0 ? { gives, shuns } : {};
}
