import type { Figure } from '#base/figure';
import { sdOf } from '#base/figure';
import type { Plan } from '#run/plan';
import type { Route } from '#run/route';
import type { Sheet } from '#run/sheet';
import { sheetOf } from '#run/sheet';

/** One way to a target: a route, and within it one of its methods. */
export interface MethodRow {
  readonly routeId: string;
  readonly route: string;
  /** “soda, hot”; empty where the route has but one. */
  readonly method: string;
  readonly controls: Readonly<Record<string, number>>;
  readonly cost: number | null;
  readonly handsOnH: number;
  readonly waitH: readonly [number, number];
  readonly yieldPct: Figure | null;
  /** 95 % band of the product, as a share of it, %. */
  readonly bandPct: number | null;
  readonly gasL: number;
  /** g of water to boil off or to let evaporate. */
  readonly awayG: number;
  readonly cautions: number;
  readonly watch: string;
  /** Columns in which it is the best of all, where they differ. */
  readonly best: readonly MethodColumn[];
  /** Why it has no numbers. */
  readonly problem: string;
}

export const methodColumns = ['cost', 'handsOnH', 'waitH', 'yieldPct', 'bandPct', 'gasL', 'awayG', 'cautions'] as const;
export type MethodColumn = (typeof methodColumns)[number];

/** Methods of a route tried at most: each is a sheet. */
const MOST = 8;

/** Every plan that is given, with each of its route’s methods, side by side. */
export function sideBySide(plans: readonly Plan[]): readonly MethodRow[] {
  const rows = plans.flatMap((plan) =>
    variantsOf(plan).map(({ method, controls }) => rowOf({ ...plan, controls }, method)),
  );
  return rows.map((row) => ({ ...row, best: methodColumns.filter((column) => isBest(row, rows, column)) }));
}

/** Choices of a route, and leaving open where it may also be cooled at once. */
function variantsOf({
  route,
  controls,
}: Plan): readonly { readonly method: string; readonly controls: Plan['controls'] }[] {
  const choices = route.controls.filter((control) => control.choices !== undefined || isOptional(route, control.id));
  let all: readonly { readonly method: string; readonly controls: Plan['controls'] }[] = [{ method: '', controls }];
  for (const control of choices) {
    const values = control.choices
      ? control.choices.map((name, i) => ({ name, value: control.min + i }))
      : [
          { name: 'by cooling alone', value: control.max },
          { name: 'left to evaporate', value: Math.round((control.min + control.max) / 2) },
        ];
    all = all
      .flatMap((each) =>
        values.map(({ name, value }) => ({
          method: each.method === '' ? name : `${each.method}, ${name}`,
          controls: { ...each.controls, [control.id]: value },
        })),
      )
      .slice(0, MOST);
  }
  return all;
}

/** A control under whose most a step of its own comes in. */
function isOptional({ steps }: Route, id: string): boolean {
  return steps.some(({ only }) => only?.control === id && only.under !== undefined);
}

function rowOf(plan: Plan, method: string): MethodRow {
  const sheet = sheetOf(plan);
  const common = { routeId: plan.route.id, route: plan.route.title, method, controls: plan.controls, best: [] };
  if (!sheet.ok)
    return {
      ...common,
      cost: null,
      handsOnH: 0,
      waitH: [0, 0],
      yieldPct: null,
      bandPct: null,
      gasL: 0,
      awayG: 0,
      cautions: 0,
      watch: '',
      problem: sheet.problem.message,
    };
  const { value } = sheet;
  return {
    ...common,
    cost: value.cost?.value ?? null,
    handsOnH: value.hours.handsOn,
    waitH: value.hours.wait,
    yieldPct: value.yieldPct,
    bandPct: bandOf(value),
    gasL: value.gases.reduce((sum, { volume }) => sum + volume.value, 0),
    awayG: awayOf(value),
    cautions: Object.values(value.cautions)
      .flat()
      .filter(({ severity }) => severity === 'stop').length,
    watch: value.row.watch,
    problem: '',
  };
}

function bandOf({ product, made }: Sheet): number | null {
  const figure = product ?? made?.strength;
  return figure && figure.value > 0 ? (200 * sdOf(figure)) / figure.value : null;
}

function awayOf({ figures }: Sheet): number {
  return (figures['boil.away']?.value ?? 0) + (figures['dish.away']?.value ?? 0);
}

/** Closer than this, as a share, is no difference. */
const ALIKE = 0.02;

function isBest(row: MethodRow, rows: readonly MethodRow[], column: MethodColumn): boolean {
  const of = (each: MethodRow): number | null => {
    if (each.problem !== '') return null;
    if (column === 'waitH') return each.waitH[1];
    if (column === 'yieldPct') return each.yieldPct === null ? null : -each.yieldPct.value;
    return each[column];
  };
  const values = rows.flatMap((each) => of(each) ?? []);
  const own = of(row);
  if (own === null || values.length < 2) return false;
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const far = Math.max(1e-9, Math.abs(least), Math.abs(most)) * ALIKE;
  return most - least > far && own - least <= far;
}
