import type { RunState } from '#run/state';
import type { WeekChoices } from '#run/week';
import type { Paces } from './pace.ts';
import { type BenchTask, tasksOf } from './tasks-of.ts';

/** What stands on a bench or is to come to it. */
export interface OnBench {
  readonly batches: readonly {
    readonly id: string;
    readonly title: string;
    readonly state: Pick<RunState, 'steps' | 'status'> & { readonly vessel: string | null };
    readonly paces: Paces;
  }[];
  /** Bottles whose strength wants to be found, with the days until then; below 0 where that is past. */
  readonly due: readonly { readonly bottleId: string; readonly name: string; readonly days: number }[];
  /** Batches that are done and stand in no bottle yet. */
  readonly unbottled: readonly { readonly id: string; readonly title: string }[];
}

interface When {
  /** The beginning of the week and the present, ms. */
  readonly from: number;
  readonly now: number;
  readonly choices: WeekChoices;
  /** °C of the room. */
  readonly roomC: number;
}

const MINUTE_MS = 60_000;
const DAY_MIN = 1440;
/** About what they take of a person, min. */
const ASSAY_MIN = 30;
const BOTTLE_MIN = 10;
/** Steps after which nothing stands in the vessel of the batch any more: they are done beside it. */
const BESIDE_VESSEL: ReadonlySet<string> = new Set(['dry', 'dry-over', 'sublime']);

/** Everything that wants a person at a bench, as the week sees it: steps of runs and of kept plans, assays, bottles to be filled. */
export function benchWeek(
  { batches, due, unbottled }: OnBench,
  { from, now, choices, roomC }: When,
): readonly BenchTask[] {
  const out = new Set(choices.out);
  const min = (at: string) => (Date.parse(at) - from) / MINUTE_MS;
  const all: BenchTask[] = [];
  /** The last step of what stands in a vessel, by its name: the next batch in it waits for that. */
  const freed = new Map<string, string>();
  const running = batches.filter(({ state }) => state.status === 'running');
  const kept = batches.filter(({ id, state }) => state.status === 'planned' && !out.has(id));
  for (const { id, state, paces } of [...running, ...kept]) {
    const tasks = tasksOf(id, state, { from, now, paces, roomC });
    const before = state.vessel === null ? undefined : freed.get(state.vessel);
    const placed = before === undefined || state.status === 'running' ? tasks : behind(tasks, before);
    all.push(...withEnd(placed, choices.wanted[id], min));
    const inVessel = tasks.filter(({ step }) => !BESIDE_VESSEL.has(techniqueAt(state, step)));
    const last = inVessel.at(-1);
    if (state.vessel !== null && last) freed.set(state.vessel, last.id);
  }
  for (const { bottleId, name, days } of due) {
    const id = `assay ${bottleId}`;
    if (!out.has(id))
      all.push(chore(id, `Find the strength of ${name}`, { min: ASSAY_MIN, byMin: Math.floor(days) * DAY_MIN }));
  }
  for (const { id: batch, title } of unbottled) {
    const id = `bottle ${batch}`;
    if (!out.has(id)) all.push(chore(id, `Bottle and label ${title}`, { min: BOTTLE_MIN }));
  }
  return all.map((task) => withPin(task, choices.pins, { min, nowMin: (now - from) / MINUTE_MS }));
}

const techniqueAt = ({ steps }: Pick<RunState, 'steps'>, step: string): string =>
  steps.find(({ key }) => key === step)?.technique ?? 'plain';

/** Steps that nothing of their batch precedes come after another. */
const behind = (tasks: readonly BenchTask[], before: string): readonly BenchTask[] =>
  tasks.map((task) => (task.after.length === 0 ? { ...task, after: [before] } : task));

/** The last step of a batch is to be over when the batch is wanted. */
function withEnd(
  tasks: readonly BenchTask[],
  wanted: string | undefined,
  min: (at: string) => number,
): readonly BenchTask[] {
  if (wanted === undefined) return tasks;
  const followed = new Set(tasks.flatMap(({ after }) => after));
  return tasks.map((task) =>
    followed.has(task.id) ? task : { ...task, byMin: Math.min(min(wanted), task.byMin ?? Number.POSITIVE_INFINITY) },
  );
}

/** A place by hand holds until its time is past, or the step has begun. */
function withPin(
  task: BenchTask,
  pins: WeekChoices['pins'],
  { min, nowMin }: { readonly min: (at: string) => number; readonly nowMin: number },
): BenchTask {
  const at = Object.hasOwn(pins, task.id) ? pins[task.id] : undefined;
  const pinnedMin = at === undefined ? undefined : min(at);
  return pinnedMin === undefined || pinnedMin < nowMin || task.startedMin !== undefined ? task : { ...task, pinnedMin };
}

/** Something done in one go, of no run. */
function chore(
  id: string,
  title: string,
  { min, byMin }: { readonly min: number; readonly byMin?: number },
): BenchTask {
  return {
    id,
    batch: id,
    step: '',
    title,
    handsOnMin: min,
    waitMin: [0, 0],
    wait: 'alone',
    daylight: false,
    where: 'anywhere',
    lookEveryMin: null,
    ceilingC: null,
    gear: [],
    after: [],
    ownRuns: 0,
    soon: '',
    ...(byMin === undefined ? {} : { byMin: byMin + DAY_MIN }),
  };
}
