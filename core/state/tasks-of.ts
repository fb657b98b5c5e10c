import { liveOf, type RunEvent } from '#core/log';
import type { Plan, RunStep } from '#core/plan';
import { ok, type Result } from '#core/problem';
import { type GoneThrough, goThrough } from '#core/sheet';
import { type TechniqueName, techniques } from '#core/technique';
import type { Task } from '#core/week';

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
};

const MINUTE_MS = 60_000;

/**
 * The steps of a run that are still to come or under way, as the week sees them: hands-on time, waits by the models where they know
 * them and by the route where not, whether they may be left, daylight for what is done outdoors, gear. `from` is the beginning of the
 * week, ms; what is under way keeps its place, and what of it lies before the week is over.
 */
export function tasksOf(
  batch: string,
  { plan, events }: { readonly plan: Plan; readonly events: readonly RunEvent[] },
  from: number,
): Result<readonly Task[]> {
  const gone = goThrough(plan, liveOf(events));
  if (!gone.ok) return gone;
  const open = gone.value.steps.filter(({ status }) => status !== 'done' && status !== 'skipped');
  const keys = new Set(open.map(({ key }) => key));
  return ok(open.map((step) => taskOf(step, { batch, gone: gone.value, keys, from })));
}

interface Setting {
  readonly batch: string;
  readonly gone: GoneThrough;
  readonly keys: ReadonlySet<string>;
  readonly from: number;
}

function taskOf(step: RunStep, { batch, gone, keys, from }: Setting): Task {
  const { key, template, inserted, needs, startedAt } = step;
  const [least, most] = waitOf(step, gone);
  const before = startedAt === null ? 0 : (Date.parse(startedAt) - from) / MINUTE_MS;
  // What of it is over before the week begins is no longer waited for.
  const over = Math.max(0, -before);
  const handsOn = template?.handsOnMin ?? 5;
  const handsOnMin = Math.max(0, handsOn - over);
  const rest = Math.max(0, over - handsOn);
  return {
    id: `${batch} ${key}`,
    batch,
    title: (inserted?.title ?? template?.title ?? key).replace(/\[[^\]]*\]/g, '').replace(/\{[^}]*\} (?:of )?/g, ''),
    handsOnMin,
    waitMin: [Math.max(0, 60 * least - rest), Math.max(0, 60 * most - rest)],
    wait: (inserted?.leave.alone ?? template?.leave.alone ?? false) ? 'alone' : 'stay',
    daylight: template?.where === 'outdoors',
    gear: [...(GEAR[template?.op.do ?? 'plain'] ?? [])],
    after: needs.filter((each) => keys.has(each)).map((each) => `${batch} ${each}`),
    ...(startedAt === null ? {} : { startedMin: Math.max(0, before) }),
  };
}

/** Hours that it waits, least and most: by what it does, where that says so. */
function waitOf({ key, template }: RunStep, { facts, planned }: GoneThrough): readonly [number, number] {
  if (!template) return [0, 0];
  const outcome = planned.outcomes.get(key);
  const own = outcome && techniques[template.op.do].hours?.(outcome, facts);
  const [least, most] = own ?? template.waitH;
  return [Math.max(0, least), Math.max(least, most)];
}
