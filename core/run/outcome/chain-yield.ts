import { derive, type Figure, given } from '#base/figure';
import { itemAt, must } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import { contentOf } from '#matter/stock';
import { molarMassFigure, type SubstanceId, substanceById, substanceOf } from '#matter/substance';
import type { RunEvent } from '#run/log';
import { sharesOf } from '#run/own';
import { type Plan, planTitle, stockIn } from '#run/plan';
import { type RunState, runState } from '#run/state';
import type { AdditionLine } from '#run/technique';

/** A batch of a chain. */
export interface ChainRun {
  readonly id: string;
  readonly number: number;
  readonly plan: Plan;
  readonly events: readonly RunEvent[];
}

export interface ChainStepYield {
  readonly number: number;
  readonly title: string;
  /** What its yield is counted on: the reagent at the beginning, then what the batch before gave. */
  readonly of: string;
  /** mol of it that went in, and of product that could come of that. */
  readonly took: Figure;
  readonly theory: Figure;
  /** mol that came: weighed, or as the bottle it was handed on in says; null while nothing is known. */
  readonly gave: Figure | null;
  readonly yieldPct: Figure | null;
  /** Part of what it gave that the next one used; null for the last. */
  readonly used: Figure | null;
}

export interface ChainYield {
  readonly steps: readonly ChainStepYield[];
  /** Of all that was taken at the beginning, what parts were used considered; null while a step has none. */
  readonly overall: Figure | null;
}

/** Roles of a plan that a yield may be counted on. */
export function basesOf(plan: Plan, state: RunState): readonly AdditionLine[] {
  const counted = new Set(plan.route.roles.filter(({ dose }) => dose.by === 'extent').map(({ id }) => id));
  return state.sheet.additions.filter(({ role, amount }) => counted.has(role) && amount.value > 0);
}

/**
 * What a chain of batches came to, first to last: each uses a bottle that the one before put on the shelf. A step’s yield is
 * counted on what it got from the one before; the first one’s on `basis`, a role of it, or on what limits it.
 */
export function chainYield(runs: readonly ChainRun[], basis: string | null): Result<ChainYield> {
  const states: RunState[] = [];
  for (const run of runs) {
    const state = runState(run.plan, run.events, 'as they are');
    if (!state.ok) return state;
    states.push(state.value);
  }
  const steps: ChainStepYield[] = [];
  for (const [i, run] of runs.entries()) {
    const state = itemAt(states, i);
    const line = lineOf(run, state, i === 0 ? { basis } : { before: itemAt(runs, i - 1).id });
    if (!line) {
      const sentence =
        i === 0
          ? `Batch ${run.number} has no such reagent to count on.`
          : `Batch ${run.number} took nothing from batch ${itemAt(runs, i - 1).number}: they are no chain.`;
      return fail('invalid-input', sentence, { field: 'runs' });
    }
    const ratio = ratioOf(run.plan, line.role);
    const theory = derive(
      { symbol: 'n', name: `${nameOf(state)} that could come of it`, unit: 'mol' },
      'n × r',
      { n: line.amount, r: given({ symbol: 'r', name: 'mol of product for a mol', unit: '' }, ratio, 'the equations') },
      (x) => x.n * x.r,
    );
    const next = runs[i + 1];
    const handed = next ? handedOn(run, next, itemAt(states, i + 1)) : null;
    const gave = handed?.gave ?? weighedOf(state);
    steps.push({
      number: run.number,
      title: planTitle(run.plan),
      of: line.name,
      took: line.amount,
      theory,
      gave,
      yieldPct: gave && percent(gave, theory),
      used: handed?.used ?? null,
    });
  }
  return ok({ steps, overall: overallOf(steps) });
}

/** The addition that a yield is counted on. */
function lineOf(
  run: ChainRun,
  state: RunState,
  on: { readonly before: string } | { readonly basis: string | null },
): AdditionLine | undefined {
  const lines = basesOf(run.plan, state);
  if ('before' in on) return lines.find(({ bottleId }) => stockIn(run.plan, bottleId)?.card.fromBatch === on.before);
  if (on.basis !== null) return lines.find(({ role }) => role === on.basis);
  return lines.find(({ limiting }) => limiting) ?? lines[0];
}

/** mol of product that a mol of a role’s substance can give, by the equations; 1 where nothing reacts. */
export function ratioOf(plan: Plan, roleId: string): number {
  const { route, bottles } = plan;
  const held = (id: string): SubstanceId | undefined => {
    const bottle = Object.hasOwn(bottles, id) ? bottles[id] : null;
    return substanceById(stockIn(plan, bottle)?.card.substanceId ?? '')?.species;
  };
  const own = held(roleId);
  const made = route.makes.kind === 'solid' ? route.makes.anhydrousId : route.makes.substanceId;
  if (own === undefined || made === undefined || route.reactions.length === 0) return 1;
  const shares = sharesOf(route.reactions, made, new Set(route.roles.flatMap(({ id }) => held(id) ?? [])));
  const takes = shares.ok ? shares.value.perExtent.get(own) : undefined;
  const last = shares.ok ? shares.value.order.at(-1) : undefined;
  const gives = last?.products.find(({ substanceId }) => substanceId === made)?.n;
  return takes && gives ? gives / takes : 1;
}

/** What a bottle that was handed on held, and the part of it that the next batch took. */
function handedOn(
  run: ChainRun,
  next: ChainRun,
  state: RunState,
): { readonly gave: Figure; readonly used: Figure } | null {
  const line = lineOf(next, state, { before: run.id });
  const then = stockIn(next.plan, line?.bottleId);
  if (!line || !then?.card.size) return null;
  const content = contentOf(
    { id: must(line.bottleId, 'bottleId'), ...then, usedG: 0 },
    next.plan.bench.tempC,
    next.plan.day,
  );
  if (!content.ok || !content.value.sizeG) return null;
  const M = molarMassFigure(content.value.substance.formula);
  const gave = derive(
    { symbol: 'n', name: `${content.value.substance.name} handed on`, unit: 'mol' },
    'm × w ÷ (100 × M)',
    { m: content.value.sizeG, w: content.value.w, M },
    (x) => (x.m * x.w) / (100 * x.M),
  );
  const used = derive(
    { symbol: 'f', name: 'part of it that was used', unit: '' },
    'min(1; t ÷ n)',
    { t: line.amount, n: gave },
    (x) => Math.min(1, x.t / x.n),
  );
  return { gave, used };
}

/** mol of the product by its yield account; null while nothing was found. */
function weighedOf(state: RunState): Figure | null {
  const { sheet, productId } = state;
  const mass = state.yield?.mass;
  if (!mass) return null;
  const M = molarMassFigure(substanceOf(productId).formula);
  return derive(
    { symbol: 'n', name: `${sheet.product?.name ?? nameOf(state)}, found`, unit: 'mol' },
    'm ÷ M',
    { m: mass, M },
    (x) => x.m / x.M,
  );
}

function percent(gave: Figure, theory: Figure): Figure {
  return derive(
    { symbol: 'Y', name: 'yield', unit: '%' },
    '100 × n ÷ t',
    { n: gave, t: theory },
    (x) => (100 * x.n) / x.t,
  );
}

function overallOf(steps: readonly ChainStepYield[]): Figure | null {
  if (steps.some(({ yieldPct }) => yieldPct === null)) return null;
  const whole = given({ symbol: 'Y', name: 'whole', unit: '%' }, 100, 'all that was taken at the beginning');
  return steps.reduce<Figure>(
    (Y, { yieldPct }) =>
      derive(
        { symbol: 'Y', name: 'overall yield', unit: '%' },
        'Y × y ÷ 100',
        { Y, y: must(yieldPct, 'yieldPct') },
        (x) => (x.Y * x.y) / 100,
      ),
    whole,
  );
}

function nameOf({ productId }: RunState): string {
  return substanceOf(productId).name;
}
