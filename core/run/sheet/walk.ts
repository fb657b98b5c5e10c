import type { Figure } from '#base/figure';
import { ok, type Result } from '#base/problem';
import type { Quantity } from '#base/reading';
import type { SubstanceId } from '#matter/substance';
import { at, type Place, slurryVolume, total, type Vessels } from '#matter/vessel';
import type { OrderedStep, PlanFacts } from '#run/plan';
import {
  type ActualAddition,
  type AdditionLine,
  AS_IT_REALLY_IS,
  type At,
  actOf,
  addUnplanned,
  after,
  begin,
  type Closing,
  type Doing,
  emptyStanding,
  FOLLOWS_THE_BENCH,
  type Going,
  goneIn,
  inMoments,
  liquidMoved,
  type NotKnown,
  type Op,
  type Outcome,
  type Own,
  passedOn,
  placeOf,
  riseOf,
  type Standing,
  type StepEntries,
  solutionMoved,
  standAsMeasured,
  standAsRead,
  takeIn,
  techniques,
} from '#run/technique';
import type { End, Entries } from './entries.ts';
import { following } from './following.ts';
import { inTime } from './in-time.ts';
import { passOn } from './passing.ts';

/** Heat of a step in all, as far as it is known. */
export interface StepHeat {
  readonly step: string;
  /** kJ set free; negative cools. */
  readonly heat: Figure;
  /** K, if all came at once and none were lost. */
  readonly rise: Figure;
  /** What more there is that no datum is held for: the heat is then of a part. */
  readonly notKnown: readonly NotKnown[];
}

/** What the steps have done, from first to last. */
export interface Walk {
  readonly end: Standing;
  readonly outcomes: ReadonlyMap<string, Outcome>;
  readonly before: ReadonlyMap<string, Vessels>;
  readonly heats: readonly StepHeat[];
  /** Where a step has heat that nothing at all is held for. */
  readonly heatNotKnown: readonly { readonly step: string; readonly says: string }[];
  readonly gases: readonly { readonly step: string; readonly id: SubstanceId; readonly amount: Figure }[];
  /** mL in the pot at its fullest, at rest and while something reacts. */
  readonly peakMl: number;
  readonly reactMl: number;
}

/** How it is gone through: the run's steps in order, doses rounded or exact, and whether only what is done counts. */
export interface Course {
  readonly steps: readonly OrderedStep[];
  readonly wanted: Figure;
  readonly entries: Entries;
  readonly exact?: boolean;
  readonly onlyDone?: boolean;
  /** g that steps ended as planned were to take then, by step. */
  readonly takenThen?: ReadonlyMap<string, Figure>;
}

/** Goes through the run's steps with planned doses, or with what really went in where that is known. */
export function walk(facts: PlanFacts, course: Course): Result<Walk> {
  const { wanted, entries, exact = false, onlyDone = false, takenThen = NOTHING } = course;
  const { additions, enlarged } = entries;
  const cap = facts.plan.target.fromRole;
  const closings = endedAsPlanned(course);
  const going: Going = {
    wanted,
    ...goneIn(facts, { additions, closings, wanted, enlarged, cap }),
    takenThen,
    enlarged: enlarged !== undefined,
    cap,
    exact,
    onlyDone,
    entriesAt: entries.at,
  };
  let standing = emptyStanding;
  const outcomes = new Map<string, Outcome>();
  const before = new Map<string, Vessels>();
  const heats: StepHeat[] = [];
  const heatNotKnown: { step: string; says: string }[] = [];
  const gases: { step: string; id: SubstanceId; amount: Figure }[] = [];
  let peakMl = 0;
  let reactMl = 0;
  const last = lastSteps(facts, course.steps);
  for (const [i, { key, op }] of course.steps.entries()) {
    before.set(key, standing.vessels);
    const { first: early, here, after: since } = inTime(facts, op, readAt(facts, op, entries.at(key)));
    const step = { facts, key, entries: here, going };
    const acts = !here.skipped && (!onlyDone || here.finished);
    const place = placeOf(op);
    // At the last steps one works at what was made.
    const own: Own = { role: 'role' in op ? op.role : null, place: i < last ? place : workedAt(facts, place) };
    // What was read, or weighed back, was read of what had gone in by then.
    const first = early ? withBesides(standing, { facts, own, additions: early }) : undefined;
    const from = first ? withFirst(standing, first) : standing;
    let doing: Doing = begin(from);
    if (acts || techniques[op.do].counts === 'when entered' || isRead(op, here)) {
      const done = actOf(op, from, step);
      if (!done.ok) return done;
      doing = goingOn(done.value);
    }
    if (first) takeOver(doing, first);
    const goes = (additions: readonly ActualAddition[], waits = false) =>
      following(doing, { facts, place, standing }, () => addUnplanned(doing, facts, additions, { ...own, waits }));
    if (i < last) goes(since, onlyDone && !here.finished && here.since.length > 0);
    else measure(doing, standing, { step, since, goes });
    if (acts && here.additions.length > 0) takeIn(op, doing, step);
    if ((i < last || facts.recipe.makes.kind === 'solid') && !takesVolume(op)) standAsRead(doing, step, place);
    const stood = at(doing.vessels, 'pot');
    passOn(doing, standing, { facts, place }, entries.passed(key));
    if (i >= last) {
      passedOn(doing, standing, { before: stood, facts });
      if (entries.passed(key).length > 0) liquidMoved(doing, facts);
    }
    // What went over before a vessel was worked on is of another charge.
    if (acts && op.do !== 'distil' && !STANDS.has(op.do) && standing.figures['still.over'])
      doing.figures = { ...doing.figures, 'still.over': null };
    outcomes.set(key, doing);
    for (const gas of doing.gases) gases.push({ step: key, ...gas });
    const contents = at(doing.vessels, place);
    const heat = heatOf(key, doing, place);
    if (heat) heats.push(heat);
    else for (const { says } of doing.notKnown) heatNotKnown.push({ step: key, says });
    reactMl = Math.max(reactMl, doing.reactMl);
    peakMl = Math.max(peakMl, slurryVolume(contents, facts.tables));
    standing = after(standing, doing);
  }
  const end = { ...standing, additions: markLimiting(facts, standing) };
  return ok({ end, outcomes, before, heats, heatNotKnown, gases, peakMl, reactMl });
}

function workedAt({ recipe: { makes } }: PlanFacts, place: Place): Place {
  return makes.kind === 'liquid' ? makes.vessel : place;
}

/** A last step: what goes in and what is read of what was made, in the order in which it happened. */
function measure(
  doing: Doing,
  standing: Standing,
  {
    step,
    since,
    goes,
  }: {
    readonly step: At;
    readonly since: readonly ActualAddition[];
    readonly goes: (additions: readonly ActualAddition[]) => void;
  },
): void {
  const { facts } = step;
  for (const { additions, readings } of inMoments(
    { ...step, isMadeUp: doing.figures['made.filled'] !== undefined },
    since,
  )) {
    const before = at(doing.vessels, 'pot');
    goes(additions);
    solutionMoved(doing, standing, { before, facts });
    liquidMoved(doing, facts);
    standAsMeasured(doing, {
      ...step,
      entries: { ...step.entries, readings },
      filled: standing.figures['made.filled'] ?? undefined,
    });
  }
}

/** Steps that leave a flask to itself. */
const STANDS: ReadonlySet<Op['do']> = new Set(['plain', 'hold']);

const NOTHING: ReadonlyMap<string, Figure> = new Map();

/** Steps that put something in and were ended with nothing of it entered, in the order of their ends. */
export function endedAsPlanned({ steps, entries }: Pick<Course, 'steps' | 'entries'>): readonly (Closing & End)[] {
  return entries.ends.flatMap((end) => {
    const op = steps.find(({ key }) => key === end.step)?.op;
    if (op?.do !== 'add') return [];
    const { skipped, additions } = entries.at(end.step);
    return skipped || additions.some(({ role }) => role === op.role) ? [] : [{ ...end, role: op.role }];
  });
}

/** From which step on only what was made stands there: what is read is read of it. Never, in a run of before. */
function lastSteps({ recipe, tables }: PlanFacts, steps: readonly OrderedStep[]): number {
  if (tables < AS_IT_REALLY_IS) return steps.length;
  if (recipe.makes.kind === 'solid') return caughtBy(steps);
  const changes = steps.findLastIndex(({ op }) => op.do !== 'plain');
  return steps[changes]?.op.do === 'make-up' ? changes : changes + 1;
}

/** The step at which a solid is dried, or the one after it was caught, where it is not; since it was last dissolved again. */
function caughtBy(steps: readonly OrderedStep[]): number {
  const again = steps.findLastIndex(({ op }) => op.do === 'redissolve') + 1;
  const drying = steps.findIndex(({ op }, i) => i >= again && op.do === 'dry');
  if (drying >= 0) return drying;
  const caught = steps.findLastIndex(({ op }, i) => i >= again && op.do === 'filter' && op.keep === 'solid');
  return caught < 0 ? steps.length : caught + 1;
}

/** What is read counts at every step; in a run of before, only what it was made up to and what was left. */
function readAt({ tables }: PlanFacts, op: Op, here: StepEntries): StepEntries {
  if (tables >= FOLLOWS_THE_BENCH) return here;
  const { left, volume } = here.readings;
  const readings = { ...(left && { left }), ...(volume && op.do === 'make-up' && { volume }) };
  return { ...here, readings, liquor: {} };
}

/** Whether something was read at a step that says how far it has come, though it is not ended. */
function isRead({ do: name }: Op, { readings, skipped }: StepEntries): boolean {
  const takes: readonly Quantity[] = techniques[name].takes;
  return !skipped && takes.some((quantity) => readings[quantity] !== undefined);
}

/** Whether a step makes of a volume that was read what it is. */
function takesVolume({ do: name }: Op): boolean {
  const takes: readonly Quantity[] = techniques[name].takes;
  return takes.includes('volume');
}

/** A run with what goes in besides at a step, before the step does anything. */
function withBesides(
  standing: Standing,
  {
    facts,
    own,
    additions,
  }: { readonly facts: PlanFacts; readonly own: Own; readonly additions: readonly ActualAddition[] },
): Doing {
  const doing = begin(standing);
  following(doing, { facts, place: own.place, standing }, () => addUnplanned(doing, facts, additions, own));
  return doing;
}

function withFirst(standing: Standing, { vessels, progress, figures }: Doing): Standing {
  return { ...standing, vessels, progress, figures: { ...standing.figures, ...figures } };
}

/** What came of what went in first belongs to the step too. */
function takeOver(doing: Doing, first: Doing): void {
  doing.figures = { ...first.figures, ...doing.figures };
  doing.besides = [...first.besides, ...doing.besides];
  doing.gases = [...first.gases, ...doing.gases];
  doing.heats = [...first.heats, ...doing.heats];
  doing.notKnown = [...first.notKnown, ...doing.notKnown];
  doing.reactMl = Math.max(first.reactMl, doing.reactMl);
}

/** An outcome that entries go on with. */
function goingOn(outcome: Outcome): Doing {
  return {
    ...outcome,
    additions: [...outcome.additions],
    besides: [...outcome.besides],
    gases: [...outcome.gases],
    heats: [...outcome.heats],
    notKnown: [...outcome.notKnown],
  };
}

function heatOf(step: string, doing: Doing, place: ReturnType<typeof placeOf>): StepHeat | undefined {
  if (doing.heats.length === 0) return undefined;
  const heat = total('heat of the step', 'kJ', ...doing.heats.map((each) => each.heat));
  const notKnown = doing.notKnown.filter(({ what }) => what === 'heat');
  return { step, heat, rise: riseOf(heat, at(doing.vessels, place)), notKnown };
}

function markLimiting(facts: PlanFacts, { additions, progress: { limiting } }: Standing): readonly AdditionLine[] {
  return additions.map((line) => ({
    ...line,
    limiting: limiting !== undefined && facts.contents[line.role]?.substance.species === limiting,
  }));
}
