import { derive, type Figure, type Grade, given } from '#base/figure';
import { itemAt, lastOf } from '#base/lookup';
import { fail, ok, type Result, unwrap } from '#base/problem';
import { type DensitySeries, type DensityTable, densityTables, neatLiquids, waterDensity } from '#matter/data';
import { type Substance, substanceOf } from '#matter/substance';

export interface DensityAnswer {
  readonly gPerMl: number;
  readonly grade: Grade;
  readonly source: string;
  /** True beyond the table's own range; the grade is then C. */
  readonly extrapolated: boolean;
}

const TABLES = new Map<string, DensityTable>(densityTables.map((table) => [table.id, table]));
// Beyond the last row by at most this much: a cubic through four rows still holds there, further it runs away.
const REACH_PCT = 2;
const MIN_C = -5;
const MAX_C = 105;
/** Standard uncertainty of a table's density, g/mL, half the bound its grade promises. */
export const TABLE_SD: Record<Grade, number> = { A: 0.0005, B: 0.001, C: 0.008 };

export function hasDensity(substance: Substance): boolean {
  return (
    substance.density !== null ||
    substance.id === 'water' ||
    statedDensity(substance) !== undefined ||
    neatLiquids.some(({ id }) => id === substance.id)
  );
}

/** g/mL, 0 to 100 °C; Kell 1975 as tabulated, within 0.00002 between rows. */
export function waterDensityAt(tempC: number): number {
  return cubic(waterDensity, tempC);
}

/**
 * Density of a solution, g/mL, at mass % 0 to 100 of the anhydrous solute and temperature in °C.
 * A cubic through the four nearest rows at each temperature (water is the row at 0 %), then a parabola over the
 * three nearest temperatures. Rows left out of the tables come back within 0.0005 at grade A.
 */
export function density(substance: Substance, wtPct: number, tempC: number): Result<DensityAnswer> {
  if (!(tempC >= MIN_C && tempC <= MAX_C)) {
    return fail('out-of-range', `Density tables run from 0 to 100 °C; ${tempC} °C lies outside.`);
  }
  if (substance.id === 'water') {
    return ok({ gPerMl: waterDensityAt(tempC), grade: 'A', source: 'Kell 1975', extrapolated: false });
  }
  const pure = statedDensity(substance);
  if (pure !== undefined && wtPct >= 99) {
    return ok({ gPerMl: pure, grade: 'C', source: 'as its owner states it', extrapolated: false });
  }
  const table = substance.density === null ? undefined : TABLES.get(substance.density);
  const neat = table ? undefined : neatDensity(substance, wtPct, tempC);
  if (neat) return ok(neat);
  if (!table)
    return dilutes(substance) && wtPct >= 0 && wtPct <= DILUTE_PCT
      ? ok({
          gPerMl: diluteDensity(wtPct, tempC),
          grade: 'C',
          source: 'estimated: so dilute, all are much alike',
          extrapolated: false,
        })
      : fail('no-density', `No density table is held for ${substance.name} in water.`);
  if (!(wtPct >= 0 && wtPct <= 100)) {
    return fail('impossible-strength', `A mass fraction runs from 0 to 100 %; ${wtPct} % does not exist.`);
  }
  const top = Math.max(...table.series.map(topPct));
  if (wtPct > top + REACH_PCT) {
    return fail(
      'impossible-strength',
      `Densities of ${substance.name} in water end at ${top} %; ${round(wtPct)} % lies beyond what exists or is tabulated.`,
    );
  }
  return ok(interpolate(table, wtPct, tempC));
}

/** Mass % up to which a solution's density hardly depends on what is dissolved. */
export const DILUTE_PCT = 6;
/** g/mL that a per cent of solute adds: 0.0035 for organic acids, 0.0085 for salts. */
const LIFT = 0.006;

/** Whether a dilute solution of it may be taken to weigh about what others do: a solid that dissolves, and is not described by its owner. */
export function dilutes({ form, water, described }: Substance): boolean {
  return form === 'solid' && described === null && (water === 'soluble' || water === 'sparing');
}

/** g/mL of a dilute solution without a table: within 0.01 of published tables for salts, acids and sugars (grade C). */
function diluteDensity(wtPct: number, tempC: number): number {
  return waterDensityAt(tempC) + LIFT * wtPct;
}

/** Nearly neat from here on: what else is in it hardly moves the density. */
const NEAT_PCT = 90;

/** Of a liquid sold neat, its rest taken as water in an ideal mixture: within 0.002 at 99 %, 0.01 at 90 %. */
function neatDensity({ id }: Substance, wtPct: number, tempC: number): DensityAnswer | undefined {
  const row = neatLiquids.find((each) => each.id === id);
  if (!row || !(wtPct >= NEAT_PCT && wtPct <= 100)) return undefined;
  const own = row.gPerMl + row.perK * (tempC - 20);
  const gPerMl = 100 / (wtPct / own + (100 - wtPct) / waterDensityAt(tempC));
  return { gPerMl, grade: wtPct >= 99 ? row.grade : 'C', source: row.source, extrapolated: false };
}

/** g/mL of a pure liquid that its owner describes. */
function statedDensity({ form, described }: Substance): number | undefined {
  return form === 'liquid' ? (described?.gPerMl ?? undefined) : undefined;
}

/** mass % at which the density table of a substance ends; undefined where none is held. */
export function densityEnds(substance: Substance): number | undefined {
  const table = substance.density === null ? undefined : TABLES.get(substance.density);
  return table && Math.max(...table.series.map(topPct));
}

/** The same as a figure: `w` in %, the temperature in °C; carries the table's own uncertainty. */
export function densityFigure(substance: Substance, w: Figure, tempC: number): Result<Figure> {
  const answer = density(substance, w.value, tempC);
  if (!answer.ok) return answer;
  const T = given({ symbol: 'T', name: 'temperature', unit: '°C' }, tempC, 'bench temperature');
  const naming = { symbol: 'ρ', name: `density of ${substance.name} solution`, unit: 'g/mL' };
  const { source, grade } = answer.value;
  const figure = derive(
    naming,
    'ρ(w, T)',
    { w, T },
    (x) => {
      const at = density(substance, x.w, x.T);
      return at.ok ? at.value.gPerMl : Number.NaN;
    },
    { source: `density table: ${source}`, grade },
  );
  const own = { name: 'density table', effect: TABLE_SD[grade] };
  return ok({ ...figure, uncertainty: { ...figure.uncertainty, [`density:${substance.density ?? 'water'}`]: own } });
}

/** The interpolation itself, on any table: tests leave rows out of one and ask for them. */
export function interpolate(table: DensityTable, wtPct: number, tempC: number): DensityAnswer {
  const covering = table.series.filter((series) => wtPct <= topPct(series) + 1e-9);
  // A poor series is used only where nothing better covers this strength.
  const sound = covering.filter((series) => series.grade !== 'C');
  const pool = [sound, covering].find((each) => each.length > 0) ?? [widest(table)];
  const near = [...pool].sort((a, b) => Math.abs(a.tempC - tempC) - Math.abs(b.tempC - tempC)).slice(0, 3);
  const best = itemAt(near, 0);
  const coldest = Math.min(...near.map((s) => s.tempC));
  const hottest = Math.max(...near.map((s) => s.tempC));
  if (tempC >= coldest - 2 && tempC <= hottest + 2) {
    const gPerMl = lagrange(
      near.map((series) => [series.tempC, atSeries(table, series, wtPct)] as const),
      tempC,
    );
    const extrapolated = covering.length === 0;
    return { gPerMl, grade: extrapolated ? 'C' : worst(near), source: best.source, extrapolated };
  }
  // This strength is tabulated at too few temperatures: borrow the expansion of the strongest solution that spans them,
  // or of water where none does. Off by up to 0.003 g/mL for 10 K.
  const spanning = Math.min(wtPct, spanPct(table, tempC, best.tempC));
  const expansion =
    spanning > 0
      ? unwrapInterpolated(table, spanning, tempC) / unwrapInterpolated(table, spanning, best.tempC)
      : waterDensityAt(tempC) / waterDensityAt(best.tempC);
  const grade: Grade = Math.abs(tempC - best.tempC) <= 10 && covering.length > 0 ? 'B' : 'C';
  return { gPerMl: atSeries(table, best, wtPct) * expansion, grade, source: best.source, extrapolated: true };
}

/** The largest mass % that the table holds on both sides of two temperatures; 0 when there is none. */
function spanPct(table: DensityTable, a: number, b: number): number {
  const low = table.series.filter((s) => s.tempC <= Math.min(a, b)).map(topPct);
  const high = table.series.filter((s) => s.tempC >= Math.max(a, b)).map(topPct);
  return low.length === 0 || high.length === 0 ? 0 : Math.min(Math.max(...low), Math.max(...high));
}

function unwrapInterpolated(table: DensityTable, wtPct: number, tempC: number): number {
  const near = table.series
    .filter((series) => wtPct <= topPct(series) + 1e-9)
    .sort((x, y) => Math.abs(x.tempC - tempC) - Math.abs(y.tempC - tempC))
    .slice(0, 3);
  return lagrange(
    near.map((series) => [series.tempC, atSeries(table, series, wtPct)] as const),
    tempC,
  );
}

type Nodes = readonly (readonly [number, number])[];

/** A table made ready once: its fullest series as the shape, every other as its ratio to that shape. */
interface Shaped {
  readonly shape: DensitySeries;
  readonly shapeNodes: Nodes;
  readonly ratios: ReadonlyMap<DensitySeries, Nodes>;
}

const SHAPED = new WeakMap<DensityTable, Shaped>();

/**
 * Rows at other temperatures are often sparse where the curve bends; their ratio to the fullest series hardly bends at
 * all. So the ratio is interpolated and the shape multiplied back: every row still comes back exactly.
 */
function shaped(table: DensityTable): Shaped {
  let ready = SHAPED.get(table);
  if (!ready) {
    const shape = table.series.reduce((a, b) => (b.points.length > a.points.length ? b : a));
    const shapeNodes = withWater(shape);
    const ratio = (series: DensitySeries): Nodes =>
      withWater(series).map(([w, rho]) => [w, rho / cubic(shapeNodes, w)] as const);
    const others = table.series.filter((series) => series !== shape && topPct(series) <= topPct(shape) + 1e-9);
    ready = { shape, shapeNodes, ratios: new Map(others.map((series) => [series, ratio(series)])) };
    SHAPED.set(table, ready);
  }
  return ready;
}

function withWater(series: DensitySeries): Nodes {
  return [[0, waterDensityAt(series.tempC)], ...series.points];
}

function atSeries(table: DensityTable, series: DensitySeries, wtPct: number): number {
  const { shapeNodes, ratios, shape } = shaped(table);
  const ratio = ratios.get(series);
  if (ratio) return cubic(ratio, wtPct) * cubic(shapeNodes, wtPct);
  return cubic(series === shape ? shapeNodes : withWater(series), wtPct);
}

function topPct(series: DensitySeries): number {
  return lastOf(series.points)[0];
}

function widest(table: DensityTable): DensitySeries {
  return table.series.reduce((a, b) => (topPct(b) > topPct(a) ? b : a));
}

function worst(series: readonly DensitySeries[]): Grade {
  return series.reduce<Grade>((grade, each) => (each.grade > grade ? each.grade : grade), 'A');
}

/** Lagrange cubic through the four nodes around x; nodes ascending in x. */
function cubic(nodes: readonly (readonly [number, number])[], x: number): number {
  let upper = nodes.findIndex(([at]) => at >= x);
  if (upper < 0) upper = nodes.length - 1;
  const start = Math.max(0, Math.min(upper - 2, nodes.length - 4));
  return lagrange(nodes.slice(start, start + 4), x);
}

function lagrange(nodes: readonly (readonly [number, number])[], x: number): number {
  let sum = 0;
  for (const node of nodes) {
    let weight = node[1];
    for (const other of nodes) if (other !== node) weight *= (x - other[0]) / (node[0] - other[0]);
    sum += weight;
  }
  return sum;
}

function round(value: number): number {
  return Number(value.toPrecision(4));
}

/** Water's density as a figure, g/mL. */
export function waterDensityFigure(tempC: number): Figure {
  const zero = given({ symbol: 'w', name: 'pure water', unit: '%' }, 0, 'water');
  return unwrap(densityFigure(substanceOf('water'), zero, tempC));
}
