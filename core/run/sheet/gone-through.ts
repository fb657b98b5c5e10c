import { derive, type Figure, given } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { formatNumber } from '#base/units';
import { admit } from '#matter/guard';
import { entryKinds, type Live, type LiveEvent, liveOf } from '#run/log';
import {
  factsOf,
  type OrderedStep,
  opOf,
  type Plan,
  type PlanFacts,
  plannedOrder,
  type RunStep,
  stepsOf,
} from '#run/plan';
import { AS_IT_REALLY_IS } from '#run/technique';
import { asAssayed } from './as-assayed.ts';
import { asInserted } from './as-inserted.ts';
import { type Entries, entriesOf } from './entries.ts';
import { refusalOf } from './gate.ts';
import { wantedExtent } from './scale.ts';
import { endedAsPlanned, type Walk, walk } from './walk.ts';

/** A run gone through twice: as it will be, and as far as it is done. The sheet, the state and the advice all read this. */
export interface GoneThrough {
  readonly facts: PlanFacts;
  readonly live: Live;
  readonly entries: Entries;
  readonly steps: readonly RunStep[];
  readonly planned: Walk;
  /** Null before anything has happened. */
  readonly done: Walk | null;
}

const NOTHING = liveOf([]);
const KNOWN = new WeakMap<Live, { readonly plan: Plan; readonly found: Result<GoneThrough> }>();

/** Goes through a run; the same object for the same plan and entries. Refuses with the field that is wrong. */
export function goThrough(plan: Plan, live: Live = NOTHING): Result<GoneThrough> {
  const known = KNOWN.get(live);
  if (known && known.plan === plan) return known.found;
  const found = gone(plan, live);
  KNOWN.set(live, { plan, found });
  return found;
}

function gone(asked: Plan, entered: Live): Result<GoneThrough> {
  const expected = goneAhead(asked, entered);
  if (!expected.ok) return expected;
  const { order, wanted, takenThen, ...ahead } = expected.value;
  const { facts, live, entries, planned } = ahead;
  const begun = live.length > 0;
  const refused = begun ? null : refusalOf(facts, planned, order);
  if (refused) return { ok: false, problem: refused };
  const done = begun ? walk(facts, { steps: order, wanted, entries, takenThen, onlyDone: true }) : undefined;
  if (done && !done.ok) return done;
  return ok({ ...ahead, done: done?.value ?? null });
}

/** A run as it will be, with what has been entered, and nothing asked of how far it is done. */
export type GoneAhead = Omit<GoneThrough, 'done'> & {
  readonly order: readonly OrderedStep[];
  readonly wanted: Figure;
  readonly takenThen: ReadonlyMap<string, Figure>;
};

/** The first half of going through a run: half the work, and all that the words of its steps want. */
export function goneAhead(asked: Plan, entered: Live): Result<GoneAhead> {
  const { plan: assayed, live } = asAssayed(asked, entered);
  const plan = asInserted(assayed, live);
  const looked = factsOf(plan);
  if (!looked.ok) return looked;
  const facts = looked.value;
  const allowed = withinReach(facts);
  if (!allowed.ok) return allowed;
  const extent = wantedExtent(facts);
  if (!extent.ok) return live.length === 0 ? (refusedAnyway(facts) ?? extent) : extent;
  const entries = entriesOf(live);
  const wanted = enlarged(extent.value, entries.enlarged);
  const begun = live.length > 0;
  const steps = stepsOf(plan, live);
  const order = begun ? steps.map((step) => ({ key: step.key, op: opOf(step) })) : plannedOrder(facts.steps);
  const takenThen = takenThenOf(asked, entered, { facts, entries, steps: order });
  const planned = walk(facts, { steps: order, wanted, entries, takenThen });
  if (!planned.ok) return planned;
  return ok({ facts, live, entries, steps, planned: planned.value, order, wanted, takenThen });
}

/**
 * What a step that was ended as planned was to take then, g: where something before it, or the strength of a bottle, was entered
 * since. What was not entered since is computed with the rest.
 */
function takenThenOf(
  asked: Plan,
  entered: Live,
  {
    facts,
    entries,
    steps,
  }: { readonly facts: PlanFacts; readonly entries: Entries; readonly steps: readonly OrderedStep[] },
): ReadonlyMap<string, Figure> {
  const taken = new Map<string, Figure>();
  if (facts.tables < AS_IT_REALLY_IS) return taken;
  const place = new Map(steps.map(({ key }, i) => [key, i]));
  for (const end of endedAsPlanned({ steps, entries })) {
    const here = place.get(end.step) ?? 0;
    const isOlder = entered.slice(end.entries).some(({ body }) => {
      if (body.kind === 'assayed') return true;
      if (!('step' in body) || entryKinds[body.kind].changes !== 'amounts') return false;
      return (place.get(body.step) ?? here) < here;
    });
    const then = isOlder ? goneAhead(asked, entered.slice(0, end.entries) as readonly LiveEvent[] as Live) : undefined;
    const line = then?.ok ? then.value.planned.end.additions.find(({ step }) => step === end.step) : undefined;
    if (line) taken.set(end.step, line.dose.mass);
  }
  return taken;
}

/** mol at which a plan that comes to nothing is asked at the gate all the same. */
const TRIAL_MOL = 0.1;

/** What would meet in a plan whose amount cannot be found is refused before that is said. */
function refusedAnyway(facts: PlanFacts): Result<never> | undefined {
  const wanted = given({ symbol: 'ξ', name: 'extent wanted', unit: 'mol' }, TRIAL_MOL, 'trial');
  const steps = plannedOrder(facts.steps);
  const tried = walk(facts, { steps, wanted, entries: entriesOf(NOTHING) });
  const refused = tried.ok ? refusalOf(facts, tried.value, steps) : null;
  return refused ? { ok: false, problem: refused } : undefined;
}

/** What is wanted of a batch that was made larger. */
function enlarged(extent: Figure, factor: number | undefined): Figure {
  if (factor === undefined) return extent;
  const f = given({ symbol: 'f', name: 'made larger', unit: '' }, factor, 'you enlarged the batch');
  return derive(
    { symbol: 'ξ', name: 'extent wanted, enlarged', unit: 'mol' },
    'ξ × f',
    { ξ: extent, f },
    (x) => x.ξ * x.f,
  );
}

/** Whether a strength is planned here at all, and whether the bottle is strong enough for it. */
function withinReach({ plan, recipe, contents, target: { pct } }: PlanFacts): Result<true> {
  if (pct === undefined) return ok(true);
  const allowed = admit({ substanceId: plan.target.substanceId, pct }, 'make');
  if (!allowed.ok) return allowed;
  const { makes } = recipe;
  const stock = makes.kind === 'solution' && makes.substanceId === undefined ? contents[makes.role] : undefined;
  if (!stock || stock.w.value >= pct) return ok(true);
  return fail(
    'too-weak',
    `The bottle is ${formatNumber(stock.w.value, 3)} % and the target ${formatNumber(pct, 3)} %: water cannot make it stronger. Ask for less, or choose a stronger bottle.`,
    { field: 'target.strength' },
  );
}
