import type { Grade } from '#base/figure';
import { itemAt, lastOf } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import {
  type SolubilityRow,
  solubility,
  solubilityMore,
  type TransitionRow,
  transitions,
  transitionsMore,
} from '#matter/data';
import type { Substance } from '#matter/substance';

export interface SolubilityAnswer {
  /** g of anhydrous substance per 100 g of water. */
  readonly gPer100gWater: number;
  /** The solid in contact, as a formula. */
  readonly phase: string;
  readonly grade: Grade;
  readonly source: string;
}

/** Standard uncertainty relative to the value, by grade. */
export const SOLUBILITY_SD: Record<Grade, number> = { A: 0.015, B: 0.03, C: 0.09 };

/** Revision of what plans are computed by that is newest; a plan is computed by the one it was made with. */
export const NEWEST_TABLES = 3;

type Rows = ReadonlyMap<string, readonly SolubilityRow[]>;
const REVISIONS: readonly Rows[] = [
  tabulated(solubility, transitions),
  tabulated([...solubility, ...solubilityMore], [...transitions, ...transitionsMore]),
];

function tabulated(rows: readonly SolubilityRow[], meeting: readonly TransitionRow[]): Rows {
  const by = new Map<string, SolubilityRow[]>();
  for (const row of rows) by.set(row.solute, [...(by.get(row.solute) ?? []), row]);
  for (const each of meeting) {
    const own = by.get(each.solute) ?? [];
    if (each.kind !== 'transition' || !hasBoth(own, each)) continue;
    by.set(each.solute, [...own, pointOf(own, each)]);
  }
  for (const own of by.values()) own.sort((a, b) => a.tempC - b.tempC);
  return by;
}

/** By rising temperature. */
function rowsOf({ solubility: solute }: Substance, revision: number): readonly SolubilityRow[] {
  const rows = REVISIONS[Math.min(revision, REVISIONS.length) - 1] ?? REVISIONS[0];
  return solute === null ? [] : (rows?.get(solute) ?? []);
}

/** Lowest and highest temperature (°C) tabulated for the anhydrous substance; undefined when it is not held. */
export function solubilityRange(substance: Substance, revision = NEWEST_TABLES): readonly [number, number] | undefined {
  const temps = rowsOf(substance, revision).map((row) => row.tempC);
  return temps.length === 0 ? undefined : [Math.min(...temps), Math.max(...temps)];
}

/**
 * Solubility at `tempC` with the phase that is stable there: ln(s) is straight in 1/T between two rows of one phase
 * (a transition row, written X/Y, ends one phase and begins the next; where the table has none, it stands at the published
 * temperature on the nearer phase's line). Within 3 % at grade A.
 */
export function solubilityOf(anhydrous: Substance, tempC: number, revision = NEWEST_TABLES): Result<SolubilityAnswer> {
  const stated = anhydrous.described?.gPer100gWater ?? null;
  if (stated !== null) return statedAt(anhydrous, stated, tempC);
  const range = solubilityRange(anhydrous, revision);
  if (!range) return fail('no-solubility', `No solubility is held for ${anhydrous.name}.`);
  if (tempC < range[0] - 2 || tempC > range[1] + 2) {
    return fail('out-of-range', `The solubility of ${anhydrous.name} is tabulated from ${range[0]} to ${range[1]} °C.`);
  }
  const rows = rowsOf(anhydrous, revision);
  const phase = phaseAt(rows, tempC);
  const nodes = rows.filter((row) => row.phase.split('/').includes(phase));
  const after = nodes.findIndex((row) => row.tempC >= tempC);
  const upper = Math.max(1, after < 0 ? nodes.length - 1 : after);
  const low = itemAt(nodes, Math.min(upper - 1, nodes.length - 1));
  const high = nodes[upper] ?? low;
  return ok({
    gPer100gWater: low === high ? low.gPer100gWater : between(low, high, tempC),
    phase,
    grade: low.grade > high.grade ? low.grade : high.grade,
    source: low.source,
  });
}

/** °C in which what an owner states for room temperature is taken to hold. */
const ROOM = [10, 30] as const;

function statedAt({ name, formula }: Substance, gPer100gWater: number, tempC: number): Result<SolubilityAnswer> {
  if (tempC < ROOM[0] || tempC > ROOM[1])
    return fail('no-solubility', `The solubility of ${name} is stated for room temperature only.`);
  return ok({ gPer100gWater, phase: formula, grade: 'C', source: 'as its owner states it' });
}

/**
 * The point where both solids stand in one solution: the lines of the two carried to it, the one whose rows come nearer
 * weighing more. A phase of one row has no line of its own.
 */
function pointOf(
  rows: readonly SolubilityRow[],
  { solute, from, to, tempC, pct, grade, source }: TransitionRow,
): SolubilityRow {
  const point = { solute, phase: `${from}/${to}`, tempC, source };
  if (pct !== null) return { ...point, gPer100gWater: (100 * pct) / (100 - pct), grade };
  let sum = 0;
  let weights = 0;
  const grades: Grade[] = [];
  for (const phase of [from, to]) {
    const nodes = rows.filter((row) => row.phase.split('/').includes(phase));
    grades.push(...nodes.map((row) => row.grade));
    const value = nodes.length < 2 ? undefined : carried(rows, phase, tempC);
    if (value === undefined) continue;
    const weight = 1 / Math.max(0.1, Math.min(...nodes.map((row) => Math.abs(row.tempC - tempC))));
    sum += weight * Math.log(value);
    weights += weight;
  }
  return { ...point, gPer100gWater: Math.exp(sum / weights), grade: grades.sort().at(-1) ?? 'C' };
}

/** Whether the table holds both solids, and not yet a row where they meet. */
function hasBoth(rows: readonly SolubilityRow[], { from, to, tempC }: TransitionRow): boolean {
  const phases = rows.map(({ phase }) => phase);
  const there = rows.some((row) => row.phase.includes('/') && Math.abs(row.tempC - tempC) < 3);
  return !there && [from, to].every((phase) => phases.includes(phase));
}

/** Of two neighbouring phases the less soluble one is stable; without a transition row the lines are carried to meet. */
function phaseAt(rows: readonly SolubilityRow[], tempC: number): string {
  const below = rows.filter((row) => row.tempC <= tempC).at(-1) ?? itemAt(rows, 0);
  const above = rows.find((row) => row.tempC >= tempC) ?? lastOf(rows);
  const from = lastOf(below.phase.split('/'));
  const to = itemAt(above.phase.split('/'), 0);
  if (from === to) return from;
  const [a, b] = [from, to].map((phase) => carried(rows, phase, tempC));
  return (a ?? Number.POSITIVE_INFINITY) <= (b ?? Number.POSITIVE_INFINITY) ? from : to;
}

function carried(rows: readonly SolubilityRow[], phase: string, tempC: number): number | undefined {
  const nodes = rows.filter((row) => row.phase.split('/').includes(phase));
  if (nodes.length < 2) return nodes[0]?.gPer100gWater;
  const nearest = [...nodes].sort((x, y) => Math.abs(x.tempC - tempC) - Math.abs(y.tempC - tempC)).slice(0, 2);
  return between(itemAt(nearest, 0), itemAt(nearest, 1), tempC);
}

function between(a: SolubilityRow, b: SolubilityRow, tempC: number): number {
  const inverse = (c: number) => 1 / (c + 273.15);
  const part = (inverse(tempC) - inverse(a.tempC)) / (inverse(b.tempC) - inverse(a.tempC));
  return Math.exp(Math.log(a.gPer100gWater) + part * (Math.log(b.gPer100gWater) - Math.log(a.gPer100gWater)));
}
