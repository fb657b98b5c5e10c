import type { Figure } from '#core/figure';
import type { OrderedStep, PlanFacts } from '#core/plan';
import { ok, type Result } from '#core/problem';
import type { SubstanceId } from '#core/substance';
import {
  type AdditionLine,
  actOf,
  addUnplanned,
  after,
  begin,
  type Doing,
  emptyStanding,
  enoughFor,
  type Going,
  type NotKnown,
  type Outcome,
  placeOf,
  riseOf,
  type Standing,
  takeIn,
  techniques,
} from '#core/technique';
import { at, slurryVolume, total, type Vessels } from '#core/vessel';
import type { Entries } from './entries.ts';
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
}

/** Goes through the run's steps with planned doses, or with what really went in where that is known. */
export function walk(facts: PlanFacts, course: Course): Result<Walk> {
  const { entries, exact = false, onlyDone = false } = course;
  const going: Going = {
    wanted: course.wanted,
    enoughFor: enoughFor(facts, entries.additions),
    enlarged: entries.enlarged !== undefined,
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
  for (const { key, op } of course.steps) {
    before.set(key, standing.vessels);
    const here = entries.at(key);
    const step = { facts, key, entries: here, going };
    const acts = !here.skipped && (!onlyDone || here.finished);
    const place = placeOf(op);
    let doing: Doing = begin(standing);
    if (acts || techniques[op.do].counts === 'when entered') {
      const done = actOf(op, standing, step);
      if (!done.ok) return done;
      doing = goingOn(done.value);
    }
    addUnplanned(doing, step, { role: 'role' in op ? op.role : null, place });
    if (acts && here.additions.length > 0) takeIn(op, doing, step);
    passOn(doing, standing, place, entries.passed(key));
    outcomes.set(key, doing);
    for (const gas of doing.gases) gases.push({ step: key, ...gas });
    const contents = at(doing.vessels, place);
    const heat = heatOf(key, doing, place);
    if (heat) heats.push(heat);
    else for (const { says } of doing.notKnown) heatNotKnown.push({ step: key, says });
    reactMl = Math.max(reactMl, doing.reactMl);
    peakMl = Math.max(peakMl, slurryVolume(contents));
    standing = after(standing, doing);
  }
  const end = { ...standing, additions: markLimiting(facts, standing) };
  return ok({ end, outcomes, before, heats, heatNotKnown, gases, peakMl, reactMl });
}

/** An outcome that entries go on with. */
function goingOn(outcome: Outcome): Doing {
  return {
    ...outcome,
    additions: [...outcome.additions],
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
