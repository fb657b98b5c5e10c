import type { Figure } from '#core/figure';
import { type Clash, clashesOf, type Present } from '#core/guard';
import type { RunEvent } from '#core/log';
import { type Plan, startPlan } from '#core/plan';
import { ok, type Problem, type Result } from '#core/problem';
import { type Reckoning, reckon } from '#core/reckon';
import { bottlesForRole, parseTarget, type Route, routesFor, type ShelfBottle, targetText } from '#core/route';
import { durationText, type Sheet, sheetOf } from '#core/sheet';
import { type Advice, type Attempt, advise, type CompareRow, compareRuns, type RunState, runState } from '#core/state';
import { causesOf, type Ranked, type Scene, type Sign } from '#core/surprise';
import type { Control, Role } from '#core/technique';
import type { Bench } from '#core/vessel';

import { dish, wash } from './dish-verbs.ts';
import { shelfVerbs } from './shelf-verbs.ts';
import { dry, evaporate, precipitate, saltout } from './solid-verbs.ts';

// What the compute door can do, without its schemas: the worker runs these on values that are already typed.

export interface WishChoice {
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

export interface WishAnswer {
  readonly problems: readonly Problem[];
  readonly text: string;
  readonly choices: readonly WishChoice[];
}

function wish({
  text,
  shelf,
  bench,
  today,
}: {
  text: string;
  shelf: readonly ShelfBottle[];
  bench: Bench;
  today: string;
}): Result<WishAnswer> {
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
    const plan = startPlan(route, { substanceId, amount, strength, fromRole }, bottles, shelf, bench, today);
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
): WishChoice['roles'][number] {
  const { makes } = route;
  const dilutes = makes.kind === 'solution' && makes.substanceId === undefined && makes.role === role.id;
  const wanted = dilutes ? substanceId : undefined;
  const bottles = bottlesForRole(role, shelf, wanted).map(({ id, card }) => ({ id, name: card.name }));
  return { id: role.id, name: role.name, tolerates: role.tolerates, bottles };
}

function rowOf(sheet: Sheet, route: Route): NonNullable<WishChoice['row']> {
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

export const verbs = {
  ...shelfVerbs,
  reckon: ({ text }: { text: string }): Result<Reckoning> => reckon(text),
  wish,
  advise: ({
    plan,
    events,
    step,
    now,
  }: {
    plan: Plan;
    events: readonly RunEvent[];
    step: string;
    now: string;
  }): Result<Advice> => advise(plan, events, step, now),
  surprise: ({ sign, ...scene }: { sign: Sign } & Scene): Result<readonly Ranked[]> => ok(causesOf(sign, scene)),
  clash: ({ present, added }: { present: readonly Present[]; added: Present }): Result<readonly Clash[]> =>
    ok(clashesOf(present, added)),
  compare: ({ attempts }: { attempts: readonly Attempt[] }): Result<readonly CompareRow[]> => compareRuns(attempts),
  dish,
  wash,
  dry,
  evaporate,
  precipitate,
  saltout,
  sheet: ({ plan }: { plan: Plan }): Result<Sheet> => sheetOf(plan),
  run: ({ plan, events }: { plan: Plan; events: readonly RunEvent[] }): Result<RunState> => runState(plan, events),
} as const;

export type Verb = keyof typeof verbs;
export type VerbInput<V extends Verb> = Parameters<(typeof verbs)[V]>[0];
export type VerbOutput<V extends Verb> = Extract<ReturnType<(typeof verbs)[V]>, { ok: true }>['value'];
