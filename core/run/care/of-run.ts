import { ok, type Result } from '#base/problem';
import type { ShelfBottle } from '#matter/stock';
import { at, type Contents, contentsMass, type VesselName, type Vessels, vesselNames } from '#matter/vessel';
import { liveOf, type RunEvent } from '#run/log';
import type { Plan } from '#run/plan';
import { asPoured, assemble, type GoneThrough, goThrough, pouredStrengths, warmedBy } from '#run/sheet';
import { type AccidentCard, accidentCard } from './accident.ts';
import { type Preparation, preparations, type UsedVessel } from './preparations.ts';
import { type WastePlan, wastePlan } from './waste.ts';

/** Care for one batch, by what was entered; by its plan, where nothing was yet. */
export interface RunCare {
  /** A card for each vessel that holds something, the fullest first. */
  readonly cards: readonly { readonly vessel: VesselName; readonly planned: boolean; readonly card: AccidentCard }[];
  readonly waste: WastePlan;
  readonly preparations: readonly Preparation[];
}

/** What to do if it goes wrong, with what is left, and before it begins. */
export function careOfRun({
  plan,
  events,
  shelf,
  before = [],
}: {
  readonly plan: Plan;
  readonly events: readonly RunEvent[];
  readonly shelf: readonly ShelfBottle[];
  /** Vessels that were used, the last use first. */
  readonly before?: readonly UsedVessel[] | undefined;
}): Result<RunCare> {
  const gone = goThrough(plan, liveOf(events));
  if (!gone.ok) return gone;
  const { facts, planned, done } = gone.value;
  const sheet = assemble(gone.value);
  const setting = { shelf, bench: plan.bench, day: plan.day, poured: pouredStrengths(facts, gone.value.live) };
  const unmet = asPoured(gone.value);
  const warmed = warmedBy(sheet, gone.value.live);
  const warmedIn = (name: string) => warmed.filter(({ vessel }) => vessel === name).map(({ says }) => says);
  const now = done ? holding(done.end.vessels) : [];
  const held = now.length > 0 ? now : holding(fullest(gone.value));
  return ok({
    cards: held.map(({ name, contents }) => ({
      vessel: name,
      planned: now.length === 0,
      card: accidentCard(contents, { ...setting, unmet: unmet?.[name], warmed: warmedIn(name) }),
    })),
    waste: wastePlan(planned.end.vessels, {
      ...setting,
      productId: plan.route.makes.substanceId ?? plan.target.substanceId,
    }),
    preparations: preparations(facts, sheet, { shelf, before }),
  });
}

function holding(vessels: Vessels): readonly { readonly name: VesselName; readonly contents: Contents }[] {
  return vesselNames
    .map((name) => ({ name, contents: at(vessels, name) }))
    .filter(({ contents }) => contentsMass(contents) > 0.05)
    .toSorted((a, b) => contentsMass(b.contents) - contentsMass(a.contents));
}

/** The vessels at the step of a plan at which most stands in them. */
function fullest({ planned: { outcomes } }: GoneThrough): Vessels {
  const all = [...outcomes.values()].map(({ vessels }) => vessels);
  const mass = (vessels: Vessels) => contentsMass(at(vessels, 'pot'));
  return all.reduce<Vessels>((most, each) => (mass(each) > mass(most) ? each : most), {});
}
