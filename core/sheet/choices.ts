import type { Figure } from '#core/figure';
import { type Plan, startPlan } from '#core/plan';
import { ok, type Problem, type Result } from '#core/problem';
import { bottlesForRole, parseTarget, type Route, routesFor, type ShelfBottle, targetText } from '#core/route';
import type { Control, Role } from '#core/technique';
import type { Bench } from '#core/vessel';
import { sheetOf } from './assemble.ts';
import { durationText } from './gauge.ts';
import type { Sheet } from './sheet.ts';

/** A target as typed, with what stands on the shelf. `today` is an ISO day. */
export interface Asking {
  readonly text: string;
  readonly shelf: readonly ShelfBottle[];
  readonly bench: Bench;
  readonly today: string;
}

export interface PlanChoice {
  readonly plan: Plan;
  readonly title: string;
  readonly summary: string;
  readonly missing: readonly string[];
  readonly controls: readonly Control[];
  /** Roles that need a bottle, with the bottles on the shelf that fit. */
  readonly roles: readonly {
    readonly id: string;
    readonly name: string;
    readonly tolerates: string;
    readonly bottles: readonly { readonly id: string; readonly name: string }[];
  }[];
  /** The comparison row; null while something is missing. */
  readonly row: {
    readonly cost: Figure | null;
    readonly handsOnH: number;
    readonly wait: string;
    readonly yieldPct: Figure | null;
    readonly watch: string;
  } | null;
}

export interface TargetAnswer {
  readonly problems: readonly Problem[];
  readonly text: string;
  readonly choices: readonly PlanChoice[];
}

/** What can be made from a text: every route to it from this shelf, each with its first plan. */
export function choicesFor({ text, shelf, bench, today }: Asking): Result<TargetAnswer> {
  const reading = parseTarget(text, bench.tempC);
  const empty = { text: '', choices: [] };
  const { substanceId, amount, strength, fromSubstanceId } = reading;
  if (reading.problems.length > 0 || !substanceId || !amount) return ok({ problems: reading.problems, ...empty });
  const routes = routesFor(substanceId, shelf);
  if (!routes.ok) return ok({ problems: [routes.problem], ...empty });
  const choices = routes.value.map(({ route, bottles, missing }) => {
    const fromRole =
      fromSubstanceId === null
        ? null
        : (route.roles.find((role) => role.accepts.includes(fromSubstanceId))?.id ?? null);
    const target = { substanceId, amount, strength, fromRole };
    const plan = startPlan({ route, target, bottles, shelf, bench, day: today });
    const sheet = missing.length === 0 ? sheetOf(plan) : undefined;
    const problems = sheet && !sheet.ok ? [sheet.problem.message] : [];
    return {
      plan,
      title: route.title,
      summary: route.summary,
      missing: [...missing, ...problems],
      controls: route.controls,
      roles: route.roles
        .filter((role) => role.accepts.length > 0)
        .map((role) => roleChoice(role, route, substanceId, shelf)),
      row: sheet?.ok ? rowOf(sheet.value, route) : null,
    };
  });
  return ok({ problems: [], text: targetText({ substanceId, amount, strength }), choices });
}

function roleChoice(
  role: Role,
  route: Route,
  substanceId: string,
  shelf: readonly ShelfBottle[],
): PlanChoice['roles'][number] {
  const { makes } = route;
  const dilutes = makes.kind === 'solution' && makes.substanceId === undefined && makes.role === role.id;
  const wanted = dilutes ? substanceId : undefined;
  const bottles = bottlesForRole(role, shelf, wanted).map(({ id, card }) => ({ id, name: card.name }));
  return { id: role.id, name: role.name, tolerates: role.tolerates, bottles };
}

function rowOf(sheet: Sheet, route: Route): NonNullable<PlanChoice['row']> {
  const corrosive = route.steps.some((step) => step.cautions.includes('corrosive'));
  const plain = corrosive ? 'corrosive' : 'nothing unusual';
  const watch = sheet.gas ? `${sheet.gas.name}, ${Number(sheet.gas.volume.value.toPrecision(2))} L` : plain;
  return {
    cost: sheet.cost,
    handsOnH: sheet.hours.handsOn,
    wait: durationText(sheet.hours.wait),
    yieldPct: sheet.yieldPct,
    watch,
  };
}
