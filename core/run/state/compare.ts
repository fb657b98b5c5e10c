import { sdOf } from '#base/figure';
import { fail, ok, type Result } from '#base/problem';
import { hoursSaid } from '#base/time';
import { formatFigure, formatNumber, formatPlain } from '#base/units';
import { molarMass, substanceOf } from '#matter/substance';
import { speciesAmount } from '#matter/vessel';
import { liveOf, type RunEvent } from '#run/log';
import type { Plan } from '#run/plan';
import { type RunState, runState } from './state.ts';

/** An attempt to be set beside others: a run with its number. */
export interface Attempt {
  readonly number: number;
  readonly plan: Plan;
  readonly events: readonly RunEvent[];
}

/** One line of the comparison: a cell for each attempt, in their order. */
export interface CompareRow {
  readonly name: string;
  readonly kind: 'method' | 'outcome' | 'words';
  readonly cells: readonly string[];
  /** True where the attempts are not all alike. */
  readonly differs: boolean;
}

interface Seen {
  readonly attempt: Attempt;
  readonly state: RunState;
}

const MOST = 6;

/** Attempts at one thing side by side: what was done otherwise, what came of it, where the rest went, what was noted. */
export function compareRuns(attempts: readonly Attempt[]): Result<readonly CompareRow[]> {
  if (attempts.length < 2 || attempts.length > MOST)
    return fail('out-of-range', `Two to ${MOST} attempts stand side by side.`, { field: 'attempts' });
  const seen: Seen[] = [];
  for (const attempt of attempts) {
    const state = runState(attempt.plan, attempt.events);
    if (!state.ok) return state;
    seen.push({ attempt, state: state.value });
  }
  const rows: CompareRow[] = [];
  const add = (kind: CompareRow['kind'], name: string, cell: (each: Seen) => string) => {
    const cells = seen.map(cell);
    if (cells.some((text) => text !== '')) rows.push({ kind, name, cells, differs: new Set(cells).size > 1 });
  };
  add('method', 'route', ({ attempt }) => attempt.plan.route.title);
  for (const [id, name] of controlsOf(seen))
    add('method', name, ({ attempt }) => {
      const control = attempt.plan.route.controls.find((each) => each.id === id);
      const set = attempt.plan.controls[id];
      return control && set !== undefined ? `${formatPlain(set)} ${control.unit}` : '';
    });
  for (const role of new Set(seen.flatMap(({ state }) => state.sheet.additions.map(({ roleName }) => roleName))))
    add('method', role, ({ state }) => {
      const line = state.sheet.additions.find(({ roleName }) => roleName === role);
      const mass = line && (line.actual ?? line.dose.mass);
      return mass ? `${formatFigure(mass.value, sdOf(mass))} ${mass.unit}` : '';
    });
  add('outcome', 'took', ({ state }) => tookText(state));
  add('outcome', 'expected', ({ state }) => shown(state.sheet.product));
  add('outcome', 'got', ({ state }) => shown(state.yield?.mass ?? null));
  add('outcome', 'yield', ({ state }) => shown(state.yield?.yieldPct ?? null));
  add('outcome', 'dry', ({ state }) => (state.yield ? state.weighing.sentence : ''));
  add('outcome', 'hydrate', ({ state }) => state.hydrate?.sentence ?? '');
  add('outcome', 'in the liquor', (each) => gramsText(liquorG(each)));
  add('outcome', 'otherwise lost', (each) => gramsText(restG(each)));
  add('outcome', 'reagents', ({ state }) => (state.sheet.cost ? formatNumber(state.sheet.cost.value, 2) : ''));
  add('words', 'noted', ({ attempt }) =>
    liveOf(attempt.events)
      .flatMap(({ body }) => (body.kind === 'noted' ? [body.text] : []))
      .join(' '),
  );
  add('words', 'abandoned', ({ state }) => state.abandonedFor ?? '');
  return ok(rows);
}

/** Controls of all routes, by id, in the order they come. */
function controlsOf(seen: readonly Seen[]): ReadonlyMap<string, string> {
  return new Map(seen.flatMap(({ attempt }) => attempt.plan.route.controls.map(({ id, name }) => [id, name] as const)));
}

function tookText({ startedAt, finishedAt }: RunState): string {
  if (!startedAt || !finishedAt) return '';
  return hoursSaid((Date.parse(finishedAt) - Date.parse(startedAt)) / 3_600_000);
}

function shown(
  figure: ({ readonly value: number; readonly unit: string } & Parameters<typeof sdOf>[0]) | null,
): string {
  return figure ? `${formatFigure(figure.value, sdOf(figure))} ${figure.unit}` : '';
}

/** g of the product, as its solid, that stayed dissolved in the liquor. */
function liquorG({ state, attempt }: Seen): number | undefined {
  const { liquor } = state.sheet.now ?? {};
  const { makes } = attempt.plan.route;
  if (!liquor || makes.kind !== 'solid') return undefined;
  return (speciesAmount(liquor, makes.anhydrousId)?.value ?? 0) * molarMass(substanceOf(makes.substanceId).formula);
}

/** What neither stands on the balance nor in the liquor: paper, vessel, rinse, test portions. */
function restG(each: Seen): number | undefined {
  const { yield: account } = each.state;
  const liquor = liquorG(each);
  return account && liquor !== undefined ? account.theory.value - account.mass.value - liquor : undefined;
}

function gramsText(grams: number | undefined): string {
  return grams === undefined ? '' : `about ${formatNumber(grams, 2)} g`;
}
