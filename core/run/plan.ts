import { fail, ok, type Result } from '#core/problem';
import { type Route, routeById, type ShelfBottle, type Target, targetSentence } from '#core/route';
import type { BottleCard } from '#core/stock';
import { substanceById } from '#core/substance';
import type { Bench } from '#core/vessel';

/** A bottle as it was when the plan was made; the record keeps it even when the shelf moves on. */
export interface PlanBottle {
  readonly card: BottleCard;
  readonly usedG: number;
}

export interface Plan {
  readonly routeId: string;
  readonly target: Target;
  /** Bottle id by role; null for plain water. */
  readonly bottles: Readonly<Record<string, string | null>>;
  readonly stock: Readonly<Record<string, PlanBottle>>;
  readonly controls: Readonly<Record<string, number>>;
  readonly bench: Bench;
  /** ISO day it was made: strengths are aged to it. */
  readonly day: string;
}

/** g or mL of a batch at most. */
export const MOST_G = 20_000;

/** A first plan for a route: its controls at their start, the bottles as given, at this bench. */
export function startPlan(
  route: Route,
  target: Target,
  bottles: Readonly<Record<string, string | null>>,
  shelf: readonly ShelfBottle[],
  bench: Bench,
  day: string,
): Plan {
  const used = new Set(Object.values(bottles));
  const stock = shelf.filter(({ id }) => used.has(id)).map(({ id, card, usedG }) => [id, { card, usedG }] as const);
  return {
    routeId: route.id,
    target,
    bottles,
    stock: Object.fromEntries(stock),
    controls: Object.fromEntries(route.controls.map((control) => [control.id, control.start])),
    bench,
    day,
  };
}

/** The wish of a plan in words, as it could be typed again: “60 g of zinc sulfate”, “sodium acetate from 250 mL acetic acid”. */
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

/** Everything about a plan that can be wrong before anything is computed. */
export function checkPlan(plan: Plan): Result<Route> {
  const route = routeById(plan.routeId);
  if (!route) return fail('no-route', `There is no route “${plan.routeId}”.`, { field: 'routeId' });
  const { value, unit } = plan.target.amount;
  const field = 'target.amount';
  if (!Number.isFinite(value))
    return fail('not-a-number', 'The amount is not a number; write it like 60 g.', { field });
  if (value <= 0) return fail('out-of-range', `The amount is more than 0; ${value} ${unit} makes nothing.`, { field });
  if (value > MOST_G)
    return fail(
      'out-of-range',
      `At most 20 ${unit === 'g' ? 'kg' : 'L'} at a time: beyond hobby scale heat and gas behave otherwise.`,
      { field },
    );
  for (const control of route.controls) {
    // A plan made before a control was there goes by its start.
    const set = plan.controls[control.id] ?? control.start;
    if (!(set >= control.min && set <= control.max)) {
      return fail('out-of-range', `“${control.name}” runs from ${control.min} to ${control.max} ${control.unit}.`, {
        field: `controls.${control.id}`,
      });
    }
  }
  const { tempC, pressureHPa, balanceG, roomM3, evaporationGPerH } = plan.bench;
  if (!(tempC >= 0 && tempC <= 45))
    return fail('out-of-range', 'The bench is between 0 and 45 °C.', { field: 'bench.tempC' });
  if (!(pressureHPa >= 600 && pressureHPa <= 1100))
    return fail('out-of-range', 'Air pressure lies between 600 and 1100 hPa.', { field: 'bench.pressureHPa' });
  if (!(balanceG >= 1e-6 && balanceG <= 100))
    return fail('out-of-range', 'A balance shows steps of 0.000001 to 100 g.', { field: 'bench.balanceG' });
  if (!(roomM3 > 0) || !(evaporationGPerH > 0))
    return fail('out-of-range', 'Room and heater are more than 0.', { field: 'bench' });
  return ok(route);
}
