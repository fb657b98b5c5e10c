import { ok, type Problem, problem, type Result } from '#base/problem';
import type { Bench } from '#matter/gear';
import { type SubstanceId, substanceOf } from '#matter/substance';
import { type Plan, startPlan } from '#run/plan';
import {
  bottlesForRole,
  parseTarget,
  type Route,
  routesFor,
  type ShelfBottle,
  type Target,
  targetText,
} from '#run/route';
import type { SheetRow } from '#run/sheet';
import { sheetOf } from '#run/sheet';
import type { Control, Role } from '#run/technique';

/** A target as typed, with what stands on the shelf. `today` is an ISO day. */
export interface Asking {
  readonly text: string;
  readonly shelf: readonly ShelfBottle[];
  readonly bench: Bench;
  readonly today: string;
  /** Only the first route that works is gone through; the rest are named. */
  readonly firstOnly?: boolean | undefined;
  /** A person's own routes, beside those that are built in. */
  readonly routes?: readonly Route[] | undefined;
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
    readonly bottles: readonly { readonly id: string; readonly name: string; readonly why: string }[];
  }[];
  /** The comparison row; null while something is missing. */
  readonly row: SheetRow | null;
  /** Why it cannot work at its settings, with the field that is wrong; null when it can, or while a bottle is missing. */
  readonly problem: Problem | null;
}

export interface TargetAnswer {
  readonly problems: readonly Problem[];
  readonly text: string;
  readonly choices: readonly PlanChoice[];
}

/** A target that is known already: what, how much, how strong, from what. */
export interface Wanted {
  readonly substanceId: SubstanceId;
  readonly amount: Target['amount'];
  readonly strength: Target['strength'];
  readonly fromSubstanceId: SubstanceId | null;
}

/** What can be made from a text: every route to it from this shelf, each with its first plan. */
export function choicesFor({ text, ...where }: Asking): Result<TargetAnswer> {
  const { problems, substanceId, amount, strength, fromSubstanceId } = parseTarget(text, where.bench.tempC);
  if (problems.length > 0 || !substanceId || !amount) return ok({ problems, text: '', choices: [] });
  return choicesOf({ substanceId, amount, strength, fromSubstanceId }, where);
}

/** The same, of a target that nobody has to read. */
export function choicesOf(
  { substanceId, amount, strength, fromSubstanceId }: Wanted,
  { shelf, bench, today, routes: own, firstOnly = false }: Omit<Asking, 'text'>,
): Result<TargetAnswer> {
  const empty = { text: '', choices: [] };
  const routes = routesFor(substanceId, shelf, own);
  if (!routes.ok) return ok({ problems: [routes.problem], ...empty });
  const asks = { solution: strength !== null, from: fromSubstanceId !== null };
  const { name, form } = substanceOf(substanceId);
  const fitting = routes.value.filter(({ route }) => fitsForm(route, asks, form === 'solid'));
  if (fitting.length === 0 && strength === null && form === 'solid') {
    const sentence = `No route here makes ${name} itself. A solution of it can be made up: say how much and how strong, such as 500 mL of 0.1 mol/L ${name}.`;
    return ok({ problems: [problem('no-route', sentence, { field: 'target' })], ...empty });
  }
  let found = false;
  const choices = (fitting.length > 0 ? fitting : routes.value).flatMap(
    ({ route, bottles, missing }): readonly PlanChoice[] => {
      const fromRole =
        fromSubstanceId === null
          ? null
          : (route.roles.find((role) => role.accepts.includes(fromSubstanceId))?.id ?? null);
      // “From” what a route does not use is another route, which is not here.
      if (fromSubstanceId !== null && fromRole === null) return [];
      const target = { substanceId, amount, strength, fromRole };
      const plan = startPlan({ route, target, bottles, shelf, bench, day: today });
      const sheet = missing.length === 0 && !(firstOnly && found) ? sheetOf(plan) : undefined;
      found ||= sheet?.ok ?? false;
      return [
        {
          plan,
          title: route.title,
          summary: route.summary,
          missing,
          problem: sheet && !sheet.ok ? sheet.problem : null,
          controls: route.controls,
          roles: route.roles
            .filter((role) => role.accepts.length > 0)
            .map((role) => roleChoice(role, route, { substanceId, shelf })),
          row: sheet?.ok ? sheet.value.row : null,
        },
      ];
    },
  );
  if (choices.length === 0 && fromSubstanceId !== null) {
    const [made, from] = [substanceOf(substanceId).name, substanceOf(fromSubstanceId).name];
    const sentence = `No route here makes ${made} from ${from}. Ask for it without “from”, to see what it is made of.`;
    return ok({ problems: [problem('no-route', sentence, { field: 'target' })], ...empty });
  }
  return ok({ problems: [], text: targetText({ substanceId, amount, strength }), choices });
}

/**
 * A strength asks for a solution; without one, what is only made up of a solid is not what is wanted. Of an acid that can be
 * distilled or diluted both stand there, the one that wants a strength with its question.
 */
function fitsForm({ makes }: Route, asks: { solution: boolean; from: boolean }, solid: boolean): boolean {
  const dilutes = makes.kind === 'solution' && makes.substanceId === undefined;
  if (asks.solution) return makes.kind === 'solution';
  return !dilutes || (!asks.from && !solid);
}

function roleChoice(
  role: Role,
  { makes }: Route,
  { substanceId, shelf }: { readonly substanceId: string; readonly shelf: readonly ShelfBottle[] },
): PlanChoice['roles'][number] {
  const dilutes = makes.kind === 'solution' && makes.substanceId === undefined && makes.role === role.id;
  const wanted = dilutes ? substanceId : undefined;
  const bottles = bottlesForRole(role, shelf, wanted).map(({ id, card, why }) => ({ id, name: card.name, why }));
  return { id: role.id, name: role.name, tolerates: role.tolerates, bottles };
}
