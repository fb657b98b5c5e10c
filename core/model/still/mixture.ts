import type { Grade } from '#base/figure';
import { doubleAt } from '#base/lookup';
import { bisect } from '#base/numeric';
import { fail, ok, type Result } from '#base/problem';
import { type VleTable, type VolatileRow, vle, volatiles } from '#matter/data';
import { density } from '#matter/solution';
import { molarMass, type Substance, type SubstanceId, substanceById, substanceOf } from '#matter/substance';
import { at, curveThrough } from './monotone.ts';

/** One of the two that boil. */
export interface Volatile {
  readonly id: SubstanceId;
  readonly name: string;
  /** g/mol. */
  readonly M: number;
  /** kJ that a mol of its vapour gives back in the condenser. */
  readonly boilKJ: number;
  /** kJ that drive a mol of it out of the mixture: what pressure shifts it by. */
  readonly outKJ: number;
  /** J/(mol K). */
  readonly cp: number;
  readonly row: VolatileRow;
}

/** What boils at one pressure: `first` is what strengths and mole fractions count. */
export interface Mixture {
  readonly id: string;
  readonly first: Volatile;
  readonly second: Volatile;
  readonly pressureHPa: number;
  readonly source: string;
  readonly grade: Grade;
  /** Mole fraction at which what is held ends; 1 for all. */
  readonly ends: number;
  /** °C at which a liquid of mole fraction x boils. */
  readonly boilsAt: (x: number) => number;
  /** Mole fraction in the vapour over it. */
  readonly vapour: (x: number) => number;
  /** Mole fraction of the liquid that boils under vapour of y: its dew point is where that boils. */
  readonly dew: (y: number) => number;
  /** g/mL at 20 °C by mole fraction; volumes added where no table is held. */
  readonly gPerMl: (x: number) => number;
}

const ROWS = new Map(volatiles.map((row) => [row.id, row]));
const TABLES = new Map(vle.map((table) => [table.id, table]));
/** Everything whose vapour is held. */
export const distillable: readonly { readonly id: SubstanceId; readonly name: string }[] = volatiles.flatMap(
  ({ id }) => {
    const substance = substanceById(id);
    return substance ? [{ id: substance.id, name: substance.name }] : [];
  },
);
export const mixtureIds: readonly string[] = [...TABLES.keys()];

const R = 8.314462618e-3;
const KELVIN = 273.15;
export const SEA_LEVEL_HPA = 1013.25;
const HPA_PER_MMHG = 1.33322;

function volatileOf(id: string): Volatile | undefined {
  const row = ROWS.get(id);
  const substance = substanceById(id);
  if (!row || !substance) return undefined;
  return {
    id: substance.id,
    name: substance.name,
    M: molarMass(substance.formula),
    boilKJ: row.boilKJ,
    outKJ: row.outKJ ?? row.boilKJ,
    cp: row.cp,
    row,
  };
}

/** The mixture of two substances at a pressure, hPa: by its table, or for two liquids without one as an ideal mixture (rough). */
export function mixtureOf(a: string, b: string, pressureHPa: number): Result<Mixture> {
  if (!(pressureHPa >= 20 && pressureHPa <= 1100))
    return fail('out-of-range', 'Pressure lies between 20 and 1100 hPa.', { field: 'pressureHPa' });
  const table = vle.find((each) => (each.first === a && each.second === b) || (each.first === b && each.second === a));
  if (table) return ok(tabulated(table, pressureHPa));
  const [first, second] = [volatileOf(a), volatileOf(b)];
  if (first?.row.antoine && second?.row.antoine && a !== b && mixes(a) && mixes(b)) {
    const lowFirst = boilsPure(first.row.antoine, pressureHPa) <= boilsPure(second.row.antoine, pressureHPa);
    const [low, high] = lowFirst ? [first, second] : [second, first];
    return ok(kept(`${low.id} ${high.id} ideal ${pressureHPa}`, () => idealOf(low, high, pressureHPa)));
  }
  return fail('no-data', `No boiling data are held for ${nameOf(a)} with ${nameOf(b)}.`, { field: 'substanceId' });
}

/** What takes no layer of its own beside the other: water with an ester is no ideal mixture. */
function mixes(id: string): boolean {
  return id !== 'water' && id !== 'nitric-acid';
}

function nameOf(id: string): string {
  return substanceById(id)?.name ?? id;
}

/** What a substance boils with in water; undefined where none is held. */
export function withWater(id: string): string | undefined {
  return vle.find((each) => each.first === id && each.second === 'water')?.id;
}

const KNOWN = new Map<string, Mixture>();
const MOST_KNOWN = 60;

/** The mixture of a table at a pressure; the same object for the same pressure. */
export function mixtureById(id: string, pressureHPa: number): Mixture {
  const table = TABLES.get(id);
  if (!table) throw new Error(`no mixture ${id}`);
  return tabulated(table, pressureHPa);
}

function tabulated(table: VleTable, pressureHPa: number): Mixture {
  return kept(`${table.id} ${pressureHPa}`, () => gridded(table, pressureHPa));
}

/** A mixture is a few thousand points: made once for each pressure, and the oldest let go. */
function kept(key: string, make: () => Mixture): Mixture {
  const known = KNOWN.get(key);
  if (known) return known;
  const oldest = KNOWN.size >= MOST_KNOWN ? KNOWN.keys().next().value : undefined;
  if (oldest !== undefined) KNOWN.delete(oldest);
  const made = make();
  KNOWN.set(key, made);
  return made;
}

/**
 * A table at another pressure: the partial pressures of its rows move along Clausius and Clapeyron with the heat that drives
 * each out. Between rows ln of the relative volatility and °C run as monotone cubics, end values of the former kept to x = 0
 * and 1. At 1013 hPa as good as the table; a hundred hPa off within 0.2 °C and 0.1 mass % of published azeotropes.
 */
function gridded(table: VleTable, pressureHPa: number): Mixture {
  const [first, second] = [volatileOf(table.first), volatileOf(table.second)];
  if (!first || !second) throw new Error(`${table.id} names a substance that does not boil here`);
  const lnP = Math.log(pressureHPa / SEA_LEVEL_HPA);
  const temps: (readonly [number, number])[] = [];
  const alphas: (readonly [number, number])[] = [];
  for (const [x, y, t] of table.rows) {
    const T0 = t + KELVIN;
    // Where the two partial pressures add up to the new total.
    let T = T0;
    for (let i = 0; i < 30 && lnP !== 0; i++) {
      const [p1, p2] = [shift(first.outKJ, T0, T), shift(second.outKJ, T0, T)];
      const sum = y * p1 + (1 - y) * p2;
      const slope = (y * p1 * first.outKJ + (1 - y) * p2 * second.outKJ) / sum / (R * T * T);
      const step = (lnP - Math.log(sum)) / slope;
      T += step;
      if (Math.abs(step) < 1e-9) break;
    }
    temps.push([x, T - KELVIN]);
    if (x <= 0 || x >= 1 || y <= 0 || y >= 1) continue;
    const moved = (first.outKJ - second.outKJ) * (1 / (R * T0) - 1 / (R * T));
    alphas.push([x, Math.log(y / (1 - y)) - Math.log(x / (1 - x)) + moved]);
  }
  const T = curveThrough(temps);
  const lnAlpha = curveThrough(alphas);
  // Below the first row with any vapour of it there is none: sulfuric acid boils off as water up to 72 %.
  const none = Math.max(0, ...table.rows.filter(([x, y]) => x > 0 && y === 0).map(([x]) => x));
  const ends = table.rows.at(-1)?.[0] ?? 1;
  const nodes = 2000;
  const tGrid = new Float64Array(nodes + 1);
  const yGrid = new Float64Array(nodes + 1);
  // Dense where liquids are dilute: volatility falls by half within a hundredth there.
  for (let i = 0; i <= nodes; i++) {
    const x = ends * (i / nodes) ** 2;
    tGrid[i] = at(T, x);
    const alpha = Math.exp(at(lnAlpha, x));
    yGrid[i] = x <= none ? 0 : (alpha * x) / (1 - x + alpha * x);
  }
  return {
    ...volumesOf(first, second),
    id: table.id,
    first,
    second,
    pressureHPa,
    source: table.source,
    grade: table.grade,
    ends,
    boilsAt: (x) => lookUp(tGrid, ends, x),
    vapour: (x) => lookUp(yGrid, ends, x),
    dew: (y) => backUp(yGrid, ends, y),
  };
}

/** How many times larger a partial pressure is at T than at T0. */
function shift(kJ: number, T0: number, T: number): number {
  return Math.exp((kJ / R) * (1 / T0 - 1 / T));
}

function lookUp(grid: Float64Array, ends: number, x: number): number {
  const nodes = grid.length - 1;
  if (!(x > 0)) return doubleAt(grid, 0);
  if (x >= ends) return doubleAt(grid, nodes);
  const u = nodes * Math.sqrt(x / ends);
  const i = u | 0;
  // Straight in x, not in its root, so that it meets nought in proportion.
  const [x0, x1] = [ends * (i / nodes) ** 2, ends * ((i + 1) / nodes) ** 2];
  return doubleAt(grid, i) + ((doubleAt(grid, i + 1) - doubleAt(grid, i)) * (x - x0)) / (x1 - x0);
}

/** The x at which a rising grid reaches y. */
function backUp(grid: Float64Array, ends: number, y: number): number {
  const nodes = grid.length - 1;
  if (!(y > doubleAt(grid, 0))) return 0;
  if (y >= doubleAt(grid, nodes)) return ends;
  let low = 0;
  let high = nodes;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (doubleAt(grid, middle) <= y) low = middle;
    else high = middle;
  }
  const [x0, x1] = [ends * (low / nodes) ** 2, ends * (high / nodes) ** 2];
  return x0 + ((x1 - x0) * (y - doubleAt(grid, low))) / (doubleAt(grid, high) - doubleAt(grid, low) || 1);
}

type Antoine = readonly [number, number, number];
const pureHPa = ([A, B, C]: Antoine, tC: number) => HPA_PER_MMHG * 10 ** (A - B / (C + tC));
const boilsPure = ([A, B, C]: Antoine, hPa: number) => B / (A - Math.log10(hPa / HPA_PER_MMHG)) - C;

/** Two liquids as if neither minded the other (Raoult): rough, several degrees and several per cent off for alcohols with esters. */
function idealOf(first: Volatile, second: Volatile, pressureHPa: number): Mixture {
  const a = first.row.antoine as Antoine;
  const b = second.row.antoine as Antoine;
  const nodes = 400;
  const tGrid = new Float64Array(nodes + 1);
  const yGrid = new Float64Array(nodes + 1);
  for (let i = 0; i <= nodes; i++) {
    const x = (i / nodes) ** 2;
    const over = (t: number) => x * pureHPa(a, t) + (1 - x) * pureHPa(b, t) - pressureHPa;
    const boils = bisect(over, {
      low: boilsPure(a, pressureHPa) - 1,
      high: boilsPure(b, pressureHPa) + 1,
      within: 1e-9,
    });
    // Between the boiling points of the two there is always one.
    if (boils.outcome !== 'converged')
      throw new Error(`${first.id} with ${second.id} boils nowhere at ${pressureHPa} hPa`);
    tGrid[i] = boils.x;
    yGrid[i] = Math.min(1, (x * pureHPa(a, doubleAt(tGrid, i))) / pressureHPa);
  }
  return {
    ...volumesOf(first, second),
    id: `${first.id} with ${second.id}, ideal`,
    first,
    second,
    pressureHPa,
    source: 'Raoult’s law with the vapour pressures of the pure liquids',
    grade: 'C',
    ends: 1,
    boilsAt: (x) => lookUp(tGrid, 1, x),
    vapour: (x) => lookUp(yGrid, 1, x),
    dew: (y) => backUp(yGrid, 1, y),
  };
}

function volumesOf(first: Volatile, second: Volatile): Pick<Mixture, 'gPerMl'> {
  const substance: Substance = substanceOf(first.id);
  const nodes = 200;
  const grid = new Float64Array(nodes + 1);
  const pureOf = ({ row }: Volatile) => row.gPerMl ?? 1;
  for (let i = 0; i <= nodes; i++) {
    const x = i / nodes;
    const pct = massPct({ first, second }, x);
    const found = second.id === 'water' ? density(substance, pct, 20) : undefined;
    const ideal = 100 / (pct / pureOf(first) + (100 - pct) / pureOf(second));
    grid[i] = found?.ok ? found.value.gPerMl : ideal;
  }
  return {
    gPerMl: (x) => {
      const u = Math.min(nodes, Math.max(0, x * nodes));
      const k = Math.min(nodes - 1, u | 0);
      return doubleAt(grid, k) + (doubleAt(grid, k + 1) - doubleAt(grid, k)) * (u - k);
    },
  };
}

/** Mass % of the first at a mole fraction. */
export function massPct({ first, second }: Pick<Mixture, 'first' | 'second'>, x: number): number {
  const m = x * first.M;
  const all = m + (1 - x) * second.M;
  return all > 0 ? (100 * m) / all : 0;
}

/** Mole fraction of the first at a mass %. */
export function moleFraction({ first, second }: Pick<Mixture, 'first' | 'second'>, pct: number): number {
  const n1 = pct / first.M;
  const n2 = (100 - pct) / second.M;
  return n1 / (n1 + n2);
}

/** kJ that a mol of vapour of this mole fraction gives back. */
export function vapourKJ({ first, second }: Mixture, y: number): number {
  return y * Math.max(first.boilKJ, first.outKJ) + (1 - y) * second.boilKJ;
}
