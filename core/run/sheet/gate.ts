import { type Problem, problem } from '#base/problem';
import { formatNumber } from '#base/units';
import type { AirKind } from '#matter/gear';
import {
  admit,
  admitReaction,
  capProblem,
  clashesOf,
  type Deed,
  type GasOfBatch,
  meantAt,
  nameOf,
  type Present,
  presentIn,
  type Scale,
} from '#matter/guard';
import { gasVolume } from '#matter/reaction';
import { density } from '#matter/solution';
import { molarMass, substanceById, substanceOf } from '#matter/substance';
import { at, vesselNames } from '#matter/vessel';
import type { OrderedStep, PlanFacts } from '#run/plan';
import { routeById } from '#run/route';
import { placeOf, techniques } from '#run/technique';
import type { Walk } from './walk.ts';

/**
 * What a plan would do that is not planned here, the first of it: over a cap, things brought together that must never be, water
 * taken from what must keep it, or more strength than is made. Asked of every plan, whoever wrote its route; never of what has
 * happened.
 */
export function refusalOf(facts: PlanFacts, planned: Walk, steps: readonly OrderedStep[]): Problem | null {
  return (
    ofReactions(facts) ??
    // What never may meet is no question of how much.
    steps.reduce<Problem | null>((found, step) => found ?? ofStep(facts, planned, step), null) ??
    capProblem(scaleOf(facts, planned), facts.plan.target.amount) ??
    tooLong(facts, planned, steps) ??
    grownTooStrong(planned)
  );
}

/** What goes in, is made, or comes off besides by an equation of the route. */
function ofReactions({ plan }: PlanFacts): Problem | null {
  for (const reaction of plan.route.reactions) {
    const allowed = admitReaction(reaction);
    if (!allowed.ok) return { ...allowed.problem, field: 'route' };
  }
  return null;
}

/** Hours beyond which no cell is planned: nine weeks of a pot that dries, clogs and wears, which no model follows. Estimate, grade C. */
const MOST_CELL_H = 1500;

/** A cell that would run for months, of which the plan would give a part in silence. */
function tooLong({ recipe, settings }: PlanFacts, { outcomes }: Walk, steps: readonly OrderedStep[]): Problem | null {
  for (const { key, op } of steps) {
    if (op.do !== 'electrolyse') continue;
    const hours = outcomes.get(key)?.figures['cell.hours']?.value ?? 0;
    if (!(hours > MOST_CELL_H)) continue;
    const control = recipe.controls.find(({ id }) => id === op.current);
    const amps = settings[op.current] ?? control?.start;
    const starts = amps === undefined ? 'This takes' : `At ${formatNumber(amps, 2)} A this takes`;
    const sentence = `${starts} about ${formatNumber(hours, 2)} h; no cell is planned for more than ${MOST_CELL_H} h. Set a larger current, or make less.`;
    return problem('out-of-range', sentence, { field: `controls.${op.current}` });
  }
  return null;
}

/** Whether a run that was begun would go over a cap with what is asked of it now. */
export function capsOf(facts: PlanFacts, planned: Walk, times: number): Problem | null {
  const { value, unit } = facts.plan.target.amount;
  return capProblem(scaleOf(facts, planned), { value: value * times, unit });
}

/** What a batch comes to, for the caps. */
export function scaleOf(facts: PlanFacts, { gases, end, outcomes, before }: Walk): Scale {
  const { bench } = facts;
  const air = { roomM3: bench.roomM3, kind: airKindOf(facts) };
  const acids = end.additions.flatMap(({ role, dose, actual }) => {
    const content = facts.contents[role];
    if (!content) return [];
    const grams = (actual ?? dose.mass).value;
    const pct = content.w.value;
    const found = density(content.substance, pct, bench.tempC);
    // About as dense as strong acids are, where no table is held.
    const mL = grams / (found.ok ? found.value.gPerMl : 1.2);
    return [{ name: content.substance.name, substanceId: content.substance.id, pct, mL }];
  });
  const { 'made.volume': volume, 'made.pct': madePct } = end.figures;
  if (volume && madePct)
    acids.push({
      name: facts.target.substance.name,
      substanceId: facts.target.substance.id,
      pct: madePct.value,
      mL: volume.value,
    });
  const molten = facts.steps
    .filter(({ op }) => op.do === 'fuse')
    .map(({ id, op }) => alkaliIn(presentIn(at(before.get(id) ?? {}, placeOf(op)))));
  const iodine = [...outcomes.values()].at(-1)?.vessels;
  return {
    gases: gasesOf(facts, gases),
    air,
    acids,
    moltenAlkaliG: Math.max(0, ...molten),
    iodineG: iodine ? Math.max(0, ...vesselNames.map((name) => iodineCrystals(at(iodine, name)))) : 0,
  };
}

export function airKindOf({ bench }: PlanFacts): AirKind {
  return bench.air ?? 'closed';
}

/** Each gas of each step: how fast it comes is by how fast the step goes. */
export function gasesOf(facts: PlanFacts, gases: Walk['gases']): readonly GasOfBatch[] {
  const by = new Map<string, GasOfBatch>();
  for (const { step, id, amount } of gases) {
    const { bench } = facts;
    const template = facts.steps.find((each) => each.id === step);
    const litres = gasVolume(amount, substanceOf(id).name, bench.tempC, bench.pressureHPa).value;
    const halfLifeH = (template?.adding?.halfLifeMin ?? 0) / 60;
    const hours = Math.max(0.1, (template?.handsOnMin ?? 0) / 60 + 2 * halfLifeH);
    const stepOutdoors = template?.where === 'outdoors';
    const key = `${id} ${stepOutdoors}`;
    const known = by.get(key);
    by.set(key, {
      id,
      litres: litres + (known?.litres ?? 0),
      mol: amount.value + (known?.mol ?? 0),
      hours: hours + (known?.hours ?? 0),
      stepOutdoors,
    });
  }
  return [...by.values()];
}

/** Alkalis that are melted, whatever water they hold. */
const MOLTEN: ReadonlySet<string> = new Set(['sodium-hydroxide', 'potassium-hydroxide']);

function alkaliIn(present: readonly Present[]): number {
  return present.reduce(
    (sum, { substanceId, g }) => (MOLTEN.has(substanceById(substanceId)?.species ?? '') ? sum + (g ?? 0) : sum),
    0,
  );
}

function iodineCrystals(contents: ReturnType<typeof at>): number {
  const n = contents.solid.iodine;
  return n ? n.value * molarMass('I2') : 0;
}

/** Least mass % at which a thing in a liquor that is boiled down or dried up decides over it. */
const COUNTS_PCT = 10;

function ofStep(facts: PlanFacts, { before }: Walk, { key, op }: OrderedStep): Problem | null {
  const vessels = before.get(key) ?? {};
  const there = presentIn(at(vessels, placeOf(op)));
  // What waits in a funnel has met nothing yet; at the step that lets it in, it does.
  if (op.do === 'absorb' && op.drips) return ofDrops(facts, { there, waits: presentIn(at(vessels, op.drips)) }, key);
  if (op.do === 'add') {
    const content = facts.contents[op.role];
    if (!content) return null;
    const coming: Present = { substanceId: content.substance.id, pct: Math.min(100, content.w.value) };
    const worst = clashesOf(there, coming, { tempC: facts.bench.tempC }).find(({ severity }) => severity === 'refuse');
    return worst ? neverMeet(facts, key, worst.sentence) : null;
  }
  const { deed }: { readonly deed?: Deed } = techniques[op.do];
  if (!deed) return null;
  for (const { substanceId, pct } of there) {
    if (pct < COUNTS_PCT || substanceId === 'water') continue;
    const allowed = admit({ substanceId, pct }, deed);
    if (!allowed.ok)
      return problem('beyond-scope', `At the step “${titleOf(facts, key)}”: ${allowed.problem.message}`, {
        field: 'route',
      });
  }
  return null;
}

function neverMeet(facts: PlanFacts, key: string, sentence: string): Problem {
  const says = `At the step “${titleOf(facts, key)}” two things meet that never may. ${sentence}`;
  return problem('beyond-scope', says, { field: 'route' });
}

/** What is let in by drops is asked like anything that is added; a built-in route may mean it, in its own apparatus. */
function ofDrops(
  facts: PlanFacts,
  { there, waits }: { readonly there: readonly Present[]; readonly waits: readonly Present[] },
  key: string,
): Problem | null {
  const worst = waits
    .flatMap((coming) => clashesOf(there, coming, { tempC: facts.bench.tempC, beside: waits }))
    .find(({ severity, releases }) => severity === 'refuse' && !isMeant(facts, key, releases));
  return worst ? neverMeet(facts, key, worst.sentence) : null;
}

/** Whether the plan’s route is the built-in one at this step, word for word in what it does and what it takes. */
function isMeant({ plan, steps }: PlanFacts, key: string, releases: string): boolean {
  const meant = meantAt(plan.route.id, key, releases);
  const ours = routeById(plan.route.id);
  const step = steps.find(({ id }) => id === key);
  const own = ours?.steps.find(({ id }) => id === key);
  if (!meant || !ours || !step || !own || step.where !== meant.where) return false;
  const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);
  return (
    same(step.op, own.op) &&
    same(plan.route.reactions, ours.reactions) &&
    same(
      plan.route.roles.map(({ accepts, dose }) => [accepts, dose]),
      ours.roles.map(({ accepts, dose }) => [accepts, dose]),
    )
  );
}

function titleOf({ steps, names }: PlanFacts, key: string): string {
  const title = steps.find(({ id }) => id === key)?.title ?? key;
  const named = title.replace(/\{([^}.]+)\.name\}/g, (_, role: string) => names[role] ?? role);
  return named.replace(/\[[^\]]*\]/g, '').replace(/\{[^}]*\} (?:of )?/g, '');
}

/** Mass % by which what is computed may pass a limit before it is called stronger. */
const GRACE_PCT = 1;

/** Acid or peroxide that stands stronger at the end than is made here, whatever it was called. */
function grownTooStrong({ end, before }: Walk): Problem | null {
  for (const name of vesselNames) {
    for (const { substanceId, pct, g } of presentIn(at(end.vessels, name))) {
      if ((g ?? 0) < 1) continue;
      const allowed = admit({ substanceId, pct: pct - GRACE_PCT }, 'make');
      const charged = [...before.values()].some((vessels) =>
        presentIn(at(vessels, name)).some((each) => each.substanceId === substanceId && each.pct >= pct - GRACE_PCT),
      );
      if (!allowed.ok && !charged)
        return problem(
          'beyond-scope',
          `${nameOf({ substanceId })} would stand there at ${Math.round(pct)} %. ${allowed.problem.message}`,
          {
            field: 'route',
          },
        );
    }
  }
  return null;
}
