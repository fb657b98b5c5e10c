import { bisect } from '#base/numeric';
import { fail, ok, type Result } from '#base/problem';
import { type SparingRow, sparing } from '#matter/data';

export interface Completeness {
  readonly solid: SparingRow;
  /** mol of the solid that precipitates. */
  readonly mol: number;
  /** mol/L of each ion that stays. */
  readonly cationLeft: number;
  readonly anionLeft: number;
  /** Part of the scarcer ion that has precipitated, %. */
  readonly pct: number;
  /** What was mixed against what saturates, per ion: 1 at saturation, below it nothing precipitates. */
  readonly saturation: number;
  readonly ionicStrength: number;
}

/** Davies holds to about 0.5 mol/L; beyond that its value there is kept, and the answer is rough. */
const DAVIES_LIMIT = 0.5;
/** Debye–Hückel A of water at 25 °C, (L/mol)^½. */
const A = 0.509;

/** The sparing salt of a formula or a name, as it is typed; undefined when none is held. */
export function saltByName(text: string): SparingRow | undefined {
  const wanted = text.trim().toLowerCase();
  const bare = wanted.replace(/[·.]\d*h2o$/, '');
  return sparing.find(
    ({ formula, name }) =>
      name === wanted ||
      formula.toLowerCase() === wanted.replace('·', '.') ||
      formula.toLowerCase().replace(/\.\d*h2o$/, '') === bare,
  );
}

/**
 * What precipitates from `mol` of each ion in `litres` of water beside other salts of ionic strength `beside` (mol/L):
 * (c₊ − n₊ x)^n₊ · (c₋ − n₋ x)^n₋ · γ^… = Ksp, at 25 °C. Ion pairs, complexes and acids of the anion are left out: they
 * keep more in solution (gypsum a third, hydroxides and carbonates by their pH). Source: CRC solubility products.
 */
export function completeness(
  solid: SparingRow,
  amounts: { readonly cationMol: number; readonly anionMol: number; readonly litres: number },
  beside = 0,
): Result<Completeness> {
  const { cationMol, anionMol, litres } = amounts;
  if (!(litres > 0)) return fail('out-of-range', 'The volume is more than 0.');
  if (!(cationMol >= 0) || !(anionMol >= 0) || !(beside >= 0))
    return fail('out-of-range', 'Amounts of ions are 0 mol or more.');
  const { cation, anion } = solid;
  const [c, a] = [cationMol / litres, anionMol / litres];
  const most = Math.min(c / cation.n, a / anion.n);
  // What is charged is neutral: the counter-ions of what stays double its charge.
  const strength = (x: number) =>
    beside + 0.5 * (cation.z ** 2 * (c - cation.n * x) + anion.z ** 2 * (a - anion.n * x)) + spectators(solid, c, a);
  const excess = (x: number) => logProduct(solid, c - cation.n * x, a - anion.n * x, strength(x)) - Math.log(solid.ksp);
  const start = excess(0);
  const none = most <= 0 || start <= 0;
  // The product falls as x grows, to nothing where one of the ions is gone: less than any number then.
  const found = none ? undefined : bisect((y) => Math.max(-1e6, excess(y)), { low: 0, high: most });
  const x = found?.outcome === 'converged' ? found.x : 0;
  return ok({
    solid,
    mol: x * litres,
    cationLeft: Math.max(0, c - cation.n * x),
    anionLeft: Math.max(0, a - anion.n * x),
    pct: most > 0 ? Math.min(100, (100 * x) / most) : 0,
    saturation: Math.exp(start / (cation.n + anion.n)),
    ionicStrength: strength(x),
  });
}

/** mol/L of the solid that dissolves in pure water at 25 °C, ions only. */
export function pureSolubility(solid: SparingRow): number {
  const { cation, anion, ksp } = solid;
  const ions = cation.n + anion.n;
  let s = (ksp / (cation.n ** cation.n * anion.n ** anion.n)) ** (1 / ions);
  for (let i = 0; i < 60; i++) {
    const I = 0.5 * s * (cation.n * cation.z ** 2 + anion.n * anion.z ** 2);
    const gamma = cation.n * logGamma(cation.z, I) + anion.n * logGamma(anion.z, I);
    s = Math.exp((Math.log(ksp) - gamma - Math.log(cation.n ** cation.n * anion.n ** anion.n)) / ions);
  }
  return s;
}

function logProduct({ cation, anion }: SparingRow, c: number, a: number, ionicStrength: number): number {
  if (c <= 0 || a <= 0) return Number.NEGATIVE_INFINITY;
  return (
    cation.n * (Math.log(c) + logGamma(cation.z, ionicStrength)) +
    anion.n * (Math.log(a) + logGamma(anion.z, ionicStrength))
  );
}

/** ln γ of an ion of charge z by Davies (1962), 25 °C. */
export function logGamma(z: number, ionicStrength: number): number {
  const I = Math.min(DAVIES_LIMIT, ionicStrength);
  const root = Math.sqrt(I);
  return -Math.LN10 * A * z ** 2 * (root / (1 + root) - 0.3 * I);
}

/** Ionic strength of the ions that came along with the two: single charged, as many as balance each. */
function spectators({ cation, anion }: SparingRow, c: number, a: number): number {
  return 0.5 * (c * cation.z - a * anion.z);
}
