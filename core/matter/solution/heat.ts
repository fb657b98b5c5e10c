import type { Grade } from '#base/figure';
import { itemAt } from '#base/lookup';
import { heatsOfSolution } from '#matter/data';
import { molarMass, type Substance } from '#matter/substance';

const WATER_G_PER_MOL = 18.015;
/** J/(g K) of liquid water near room temperature. */
const WATER_CP = 4.18;
/** J/(g K) of dissolved salts and acids, a middling value: real ones run from 0.5 to 2. */
const SOLUTE_CP = 1.2;

interface IntegralHeat {
  /** kJ per mol of solute, from the pure substance into this much water. */
  readonly kJPerMol: number;
  readonly source: string;
  readonly grade: Grade;
}

const SERIES = new Map<string, { points: [number, number][]; source: string; grade: Grade }>();
for (const row of heatsOfSolution) {
  if (row.kind !== 'integral heat of solution' || row.molWater === undefined) continue;
  const series = SERIES.get(row.substance) ?? { points: [], source: row.source, grade: row.grade };
  // Infinite dilution stands at 1e7 mol of water, where the tables have flattened to 0.1 kJ.
  series.points.push([Math.log(Math.min(row.molWater, 1e7)), row.dH]);
  SERIES.set(row.substance, series);
}

/**
 * Integral heat of solution at so many mol of water per mol of solute; straight lines in log(water), as tabulated
 * for HCl, H2SO4 and NaOH (NBS Circular 500). Within 0.5 kJ/mol between rows, 2 below the first. Undefined for other solutes.
 */
export function integralHeat(substance: Substance, molWaterPerMol: number): IntegralHeat | undefined {
  const series = SERIES.get(substance.formula);
  if (!series || !(molWaterPerMol > 0)) return undefined;
  const x = Math.log(molWaterPerMol);
  const { points, source, grade } = series;
  // Less water than the first row: the first molecules of water are taken up with nearly equal heat, and none gives none.
  const [firstX, firstY] = itemAt(points, 0);
  if (x < firstX) return { kJPerMol: (firstY * molWaterPerMol) / Math.exp(firstX), source, grade };
  let upper = points.findIndex(([at]) => at >= x);
  if (upper < 0) upper = points.length - 1;
  upper = Math.max(1, upper);
  const [x0, y0] = itemAt(points, upper - 1);
  const [x1, y1] = itemAt(points, upper);
  return { kJPerMol: y0 + ((y1 - y0) * (x - x0)) / (x1 - x0), source, grade };
}

const INFINITE = new Map(
  heatsOfSolution.flatMap((row) =>
    row.kind === 'heat of solution, infinite dilution' ? [[row.substance, row] as const] : [],
  ),
);

/** Heat of solution of the pure substance as it comes, kJ/mol, at infinite dilution; undefined where none is tabulated. */
export function heatAtInfiniteDilution({ formula }: Substance): IntegralHeat | undefined {
  const row = INFINITE.get(formula);
  return row && { kJPerMol: row.dH, source: row.source, grade: row.grade };
}

/**
 * Heat set free (kJ per mol of solute, positive is warm) on diluting from one mass % to another.
 * Undefined where no integral heats are held, or at the pure substance.
 */
export function heatOfDilution(
  substance: Substance,
  fromPct: number,
  toPct: number,
): { kJPerMol: number; source: string } | undefined {
  const before = integralHeat(substance, waterPerMol(substance, fromPct));
  const after = integralHeat(substance, waterPerMol(substance, toPct));
  if (!before || !after) return weakHeat(substance, fromPct, toPct);
  return { kJPerMol: before.kJPerMol - after.kJPerMol, source: before.source };
}

/**
 * Of a liquid acid whose heat of mixing with water is known in all and is small (acetic, formic: under 2 kJ/mol): the share of
 * it that this thinning can have.
 */
function weakHeat(
  substance: Substance,
  fromPct: number,
  toPct: number,
): { kJPerMol: number; source: string } | undefined {
  const row = INFINITE.get(substance.formula);
  if (row?.phase !== 'l' || Math.abs(row.dH) > 2) return undefined;
  return { kJPerMol: (-row.dH * Math.max(0, fromPct - toPct)) / 100, source: row.source };
}

/** Heat capacity of a mixture, J/K: water at 4.18, dissolved matter at a middling 1.2 J/(g K). About 10 %. */
export function heatCapacity(waterG: number, soluteG: number): number {
  return waterG * WATER_CP + soluteG * SOLUTE_CP;
}

function waterPerMol(substance: Substance, wtPct: number): number {
  if (wtPct <= 0) return 1e7;
  return ((100 - wtPct) / WATER_G_PER_MOL) * (molarMass(substance.formula) / wtPct);
}
