import { entryOf, itemAt, must } from '#base/lookup';
import { type ConductivitySeries, conductivities, densityTables } from '#matter/data';
import { type Amounts, concentrations } from './liquid.ts';
import { anionPlaces, at, cationPlaces, charges, mobilities, nameAt, type Place, type SpeciesName } from './species.ts';

// Conductivity of a mixture, from published series of single salts. At one concentration of charge N every pair of a cation and
// an anion counts with its own equivalent conductivity, weighted by the shares of both ions: exact for one salt. Where no series
// is held of a pair, a common salt of the same charges lends its fall with concentration.

/** A salt’s equivalent conductivity at a √N, S cm²/mol of charge at 25 °C, and its rise, 1/K. */
interface Knot {
  readonly root: number;
  readonly lambda: number;
  readonly perK: number;
}

/** Knots by √N; the first is at infinite dilution. */
interface Curve {
  readonly first: Knot;
  readonly rest: readonly Knot[];
}

type Pair = readonly [SpeciesName, SpeciesName];

/** Salts of the tables, and the ions they are taken as. */
const SALTS: Readonly<Record<string, Pair>> = {
  HCl: ['H+', 'Cl-'],
  H2SO4: ['H+', 'SO4 2-'],
  HNO3: ['H+', 'NO3-'],
  NaCl: ['Na+', 'Cl-'],
  NaOH: ['Na+', 'OH-'],
  NaNO3: ['Na+', 'NO3-'],
  Na2SO4: ['Na+', 'SO4 2-'],
  NaHCO3: ['Na+', 'HCO3-'],
  Na2CO3: ['Na+', 'CO3 2-'],
  'Na acetate': ['Na+', 'CH3COO-'],
  KCl: ['K+', 'Cl-'],
  KOH: ['K+', 'OH-'],
  KNO3: ['K+', 'NO3-'],
  K2SO4: ['K+', 'SO4 2-'],
  KHCO3: ['K+', 'HCO3-'],
  K2CO3: ['K+', 'CO3 2-'],
  CuSO4: ['Cu2+', 'SO4 2-'],
  ZnSO4: ['Zn2+', 'SO4 2-'],
  MgSO4: ['Mg2+', 'SO4 2-'],
  MgCl2: ['Mg2+', 'Cl-'],
};

/** Density table and g/mol of charge of each. */
const GRAMS: Readonly<Record<string, readonly [table: string, perCharge: number]>> = {
  HCl: ['HCl', 36.458],
  H2SO4: ['H2SO4', 49.036],
  HNO3: ['HNO3', 63.012],
  NaCl: ['NaCl', 58.44],
  NaOH: ['NaOH', 39.997],
  NaNO3: ['NaNO3', 84.994],
  Na2SO4: ['Na2SO4', 71.018],
  NaHCO3: ['NaHCO3', 84.006],
  Na2CO3: ['Na2CO3', 52.994],
  'Na acetate': ['CH3COONa', 82.034],
  KCl: ['KCl', 74.548],
  KOH: ['KOH', 56.105],
  KNO3: ['KNO3', 101.102],
  K2SO4: ['K2SO4', 87.127],
  KHCO3: ['KHCO3', 100.114],
  K2CO3: ['K2CO3', 69.102],
  CuSO4: ['CuSO4', 79.801],
  ZnSO4: ['ZnSO4', 80.718],
  MgSO4: ['MgSO4', 60.18],
  MgCl2: ['MgCl2', 47.602],
};

const WEIGHT = { A: 3, B: 1.5, C: 0.5 } as const;
/** Points nearer than this share of N are one. */
const NEAR = 0.1;
/** %/K where none is given: salts in water. */
const USUAL_PER_K = 0.021;

/** Curves of salts, drawn when they are first wanted. */
const curves = new Map<string, Curve>();

function curveFor(cation: SpeciesName, anion: SpeciesName): Curve | undefined {
  const found = Object.entries(SALTS).find(([, pair]) => pair[0] === cation && pair[1] === anion);
  if (found === undefined) return undefined;
  const [salt, pair] = found;
  const had = curves.get(salt);
  if (had) return had;
  const drawn = curveOf(salt, pair);
  curves.set(salt, drawn);
  return drawn;
}

function curveOf(salt: string, [cation, anion]: Pair): Curve {
  const series = conductivities.filter(({ solute }) => solute === salt);
  // Where equivalent conductivities were measured for their own sake, rounded ones by mass % only blur them.
  const exact = series
    .filter(({ by }) => by === 'equivalent')
    .flatMap(({ rows }) => rows.filter(([, , , grade]) => grade !== 'C'));
  const exactTo = Math.max(0, ...exact.map(([N]) => N));
  const points = series
    .flatMap((each) => pointsOf(each, salt).filter(({ N }) => each.by === 'equivalent' || N > exactTo))
    .sort((a, b) => a.N - b.N);
  const first = { root: 0, lambda: mobilities[at[cation]] + mobilities[at[anion]], perK: risesOf(series) };
  const rest: Knot[] = [];
  for (let i = 0; i < points.length; ) {
    const from = itemAt(points, i);
    if (from.N <= 0) {
      i++;
      continue;
    }
    let [w, N, L, wK, K] = [0, 0, 0, 0, 0];
    for (; i < points.length; i++) {
      const each = itemAt(points, i);
      if (each.N > from.N * (1 + NEAR)) break;
      w += each.weight;
      N += each.weight * each.N;
      L += each.weight * each.lambda;
      if (each.perK !== null) {
        wK += each.weight;
        K += each.weight * each.perK;
      }
    }
    const before = rest.at(-1) ?? first;
    rest.push({ root: Math.sqrt(N / w), lambda: L / w, perK: wK > 0 ? K / wK : before.perK });
  }
  return { first, rest };
}

/** 1/K of a salt’s weakest solution that has one. */
function risesOf(series: readonly ConductivitySeries[]): number {
  const first = series
    .flatMap((each) => pointsOf(each, each.solute))
    .sort((a, b) => a.N - b.N)
    .find(({ perK }) => perK !== null);
  return first?.perK ?? USUAL_PER_K;
}

interface Point {
  readonly N: number;
  /** At 25 °C. */
  readonly lambda: number;
  readonly perK: number | null;
  readonly weight: number;
}

function pointsOf({ by, tempC, rows }: ConductivitySeries, salt: string): readonly Point[] {
  return rows.map(([x, value, percent, grade]) => {
    if (by === 'equivalent') return { N: x, lambda: value, perK: null, weight: WEIGHT[grade] };
    const N = chargeOf(salt, x);
    const k = percent === null ? USUAL_PER_K : percent / 100;
    const warmed = 1 + k * (25 - tempC);
    return { N, lambda: (value * warmed) / N, perK: k / warmed, weight: WEIGHT[grade] };
  });
}

/** mol of charge in a litre at a mass %, 20 °C. */
function chargeOf(salt: string, pct: number): number {
  const [table, grams] = entryOf(GRAMS, salt);
  return (10 * pct * densityAt(table, pct)) / grams;
}

const WATER_20 = 0.9982;
/** g/mL at 20 °C off its table; where none is held, most salts add 0.9 % for each 1 %. */
function densityAt(table: string, pct: number): number {
  const points = densityTables.find(({ id }) => id === table)?.series.find(({ tempC }) => tempC === 20)?.points ?? [];
  const above = points.findIndex(([x]) => x >= pct);
  if (above < 0) return WATER_20 + 0.009 * pct;
  const [x0, y0] = points[above - 1] ?? [0, WATER_20];
  const [x1, y1] = itemAt(points, above);
  return y0 + ((y1 - y0) * (pct - x0)) / (x1 - x0);
}

/** Whose fall with concentration a pair borrows that has no series. */
const LENDERS: Readonly<Record<string, Pair>> = {
  '1 1': ['Na+', 'Cl-'],
  '1 2': ['Na+', 'SO4 2-'],
  '2 1': ['Mg2+', 'Cl-'],
  '2 2': ['Mg2+', 'SO4 2-'],
};

/** Conductivities of pairs by place, filled as they are asked for. */
const known = new Map<number, { readonly curve: Curve; readonly times: number }>();

function pairAt(cation: Place, anion: Place): { readonly curve: Curve; readonly times: number } {
  const key = 64 * cation + anion;
  const had = known.get(key);
  if (had) return had;
  const own = curveFor(nameAt(cation), nameAt(anion));
  const found = own ? { curve: own, times: 1 } : borrowed(cation, anion);
  known.set(key, found);
  return found;
}

function borrowed(cation: Place, anion: Place): { readonly curve: Curve; readonly times: number } {
  const proton = cation === at['H+'];
  const lender: Pair = proton ? ['H+', 'Cl-'] : entryOf(LENDERS, `${charges[cation]} ${-charges[anion]}`);
  const curve = must(curveFor(...lender), `conductivity of ${lender.join(' ')}`);
  return { curve, times: (mobilities[cation] + mobilities[anion]) / curve.first.lambda };
}

/** Sulfate of the other salts takes up protons: what is lost by it, fitted to two baths. Grade C. */
const BISULFATE = 0.8;

/**
 * mS/cm of a liquid at a temperature, 0 to 80 °C. One salt of the tables: within 3 %. Mixtures about a tenth; acid with a sulfate
 * about a fifth.
 */
export function conductivity(n: Amounts, tempC: number): number {
  return conductivityAt(concentrations(n), tempC);
}

/** The same from mol/L. */
export function conductivityAt(c: Amounts, tempC: number): number {
  let N = 0;
  let negative = 0;
  for (const i of cationPlaces) N += charges[i] * c[i];
  for (const i of anionPlaces) negative -= charges[i] * c[i];
  N = Math.min(N, negative);
  if (!(N > 1e-9)) return 0;
  const root = Math.sqrt(N);
  const dK = tempC - 25;
  let sum = 0;
  for (const i of cationPlaces) {
    const x = charges[i] * c[i];
    if (x < 1e-12) continue;
    for (const j of anionPlaces) {
      const y = -charges[j] * c[j];
      if (y < 1e-12) continue;
      sum += (x / N) * (y / N) * read(pairAt(i, j), root, dK);
    }
  }
  const acid = (c[at['H+']] / N) * Math.min(1, (2 * c[at['SO4 2-']]) / N);
  const salt = acid > 0 ? 1 - c[at['H+']] / N : 0;
  return N * sum * (1 - BISULFATE * acid * salt);
}

function read({ curve, times }: { readonly curve: Curve; readonly times: number }, root: number, dK: number): number {
  let low = curve.first;
  let high = curve.first;
  for (const knot of curve.rest) {
    low = high;
    high = knot;
    if (knot.root >= root) break;
  }
  const width = high.root - low.root;
  const f = width > 0 ? Math.min(1, (root - low.root) / width) : 1;
  // Beyond the table it falls no further than in it.
  const value = low.lambda + f * (high.lambda - low.lambda);
  const rise = low.perK + f * (high.perK - low.perK);
  const beyond = root > high.root ? high.root / root : 1;
  return times * value * beyond * Math.max(0.2, 1 + rise * dK);
}

/** Beyond a series by more than this share of its strongest, a conductivity is not measured. */
const BEYOND = 1.1;

/** Whether a liquid is one salt with a series that reaches so far: else its conductivity is about. */
export function isMeasured(c: Amounts): boolean {
  let N = 0;
  for (const i of cationPlaces) N += charges[i] * c[i];
  let pairs = 0;
  for (const i of cationPlaces)
    for (const j of anionPlaces) {
      if (c[i] < 1e-4 || c[j] < 1e-4) continue;
      pairs++;
      const own = curveFor(nameAt(i), nameAt(j));
      if (!own || N > BEYOND * (own.rest.at(-1) ?? own.first).root ** 2) return false;
    }
  return pairs === 1;
}
