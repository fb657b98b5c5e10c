import { day, fields, map, nullable, number, type Of, text } from '#base/shape';
import { type Bench, benchShape } from '#matter/gear';
import { bottleThenShape } from '#matter/stock';
import { substanceById } from '#matter/substance';
import { NEWEST_TABLES } from '#model/dish';
import { type Route, routeShape, type ShelfBottle, type Target, targetSentence, targetShape } from '#run/route';

/**
 * What is to be made, by which route, from which bottles, where. It carries its own copy of the route and of the bottles as
 * they were: a later build or shelf does not change what was planned.
 */
export const planShape = fields({
  route: routeShape,
  target: targetShape,
  /** Bottle id by role; null for plain water. */
  bottles: map(nullable(text(60)), 20),
  stock: map(bottleThenShape, 20),
  controls: map(number(), 30),
  bench: benchShape,
  /** ISO day it was made: strengths are aged to it. */
  day: day(),
  /** Revision of the data tables it is computed with: a better datum does not rewrite it. */
  tables: number({ min: 1, max: 1000, whole: true }),
});
export type Plan = Of<typeof planShape>;

/** Version of plans as they are stored; an older one is brought up to it when it is read. */
export const PLAN_VERSION = 2;

/** What a first plan is made of. */
export interface PlanStart {
  readonly route: Route;
  readonly target: Target;
  readonly bottles: Readonly<Record<string, string | null>>;
  readonly shelf: readonly ShelfBottle[];
  readonly bench: Bench;
  /** ISO day. */
  readonly day: string;
}

/** A first plan for a route: its controls at their start, the bottles as given, at this bench. */
export function startPlan({ route, target, bottles, shelf, bench, day: today }: PlanStart): Plan {
  const used = new Set(Object.values(bottles));
  const stock = shelf.filter(({ id }) => used.has(id)).map(({ id, card, usedG }) => [id, { card, usedG }] as const);
  return {
    route,
    target,
    bottles,
    stock: Object.fromEntries(stock),
    controls: Object.fromEntries(route.controls.map((control) => [control.id, control.start])),
    bench,
    day: today,
    tables: NEWEST_TABLES,
  };
}

/** The target of a plan in words, as it could be typed again: “60 g of zinc sulfate”, “sodium acetate from 250 mL acetic acid”. */
export function planTitle(plan: Plan): string {
  const { fromRole } = plan.target;
  const bottleId = fromRole === null ? null : plan.bottles[fromRole];
  const card = bottleId ? plan.stock[bottleId]?.card : undefined;
  return targetSentence(plan.target, card ? (substanceById(card.substanceId)?.name ?? null) : null);
}

/** What the plan makes, without how much: “zinc sulfate”, “hydrochloric acid, 2 mol/L”. */
export function productTitle(plan: Plan): string {
  return planTitle(plan)
    .replace(/^[\d.\u202f]+ (?:g|kg|mL|L) of /, '')
    .replace(/ from .*$/, '');
}
