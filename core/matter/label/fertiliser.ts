import { molarMass, parseFormula, type RecordId, type Substance, substanceOf } from '#matter/substance';

/** The three numbers of a fertiliser: % N, % P2O5, % K2O. */
export interface NpkCode {
  readonly index: number;
  readonly typed: string;
  readonly n: number;
  readonly p: number;
  readonly k: number;
}

const NUMBER = String.raw`(\d{1,2}(?:[.,]\d)?)`;
const CODE = new RegExp(
  String.raw`(?<![\d.,-])(?:N-?P-?K\s*)?${NUMBER}\s?[-–:]\s?${NUMBER}\s?[-–:]\s?${NUMBER}(?![\d-])`,
  'iu',
);

/** Such numbers in a text. */
export function npkIn(typed: string): NpkCode | undefined {
  const match = CODE.exec(typed);
  if (!match) return undefined;
  const [n = 0, p = 0, k = 0] = match.slice(1, 4).map((each) => Number(each.replace(',', '.')));
  return n + p + k > 0 && n + p + k <= 100 ? { index: match.index, typed: match[0], n, p, k } : undefined;
}

/** Salts that are sold alone as a fertiliser. */
const SINGLE: readonly RecordId[] = [
  'urea',
  'ammonium-sulfate',
  'calcium-ammonium-nitrate-hydrate',
  'calcium-nitrate-tetrahydrate',
  'magnesium-nitrate',
  'sodium-nitrate',
  'potassium-nitrate',
  'potassium-chloride',
  'potassium-sulfate',
  'potassium-dihydrogenphosphate',
  'ammonium-dihydrogenphosphate',
  'diammonium-hydrogenphosphate',
];
/** A pack holds from this share of what the pure salt would to all of it, rounded. */
const LEAST = 0.9;
const MOST = 1.03;

/** The salts that such numbers fit, with the mass % of each that they stand for. */
export function fertilisersBy({
  n,
  p,
  k,
}: Pick<NpkCode, 'n' | 'p' | 'k'>): readonly { substance: Substance; pct: number }[] {
  return SINGLE.flatMap((id) => {
    const substance = substanceOf(id);
    const pure = npkOf(substance);
    const shares: number[] = [];
    for (const [said, most] of [
      [n, pure.n],
      [p, pure.p],
      [k, pure.k],
    ] as const) {
      if (most < 0.5 && said < 0.5) continue;
      if (most < 0.5 || said < LEAST * most || said > MOST * most) return [];
      shares.push(said / most);
    }
    const share = shares.reduce((sum, each) => sum + each, 0) / shares.length;
    return [{ substance, pct: Number(Math.min(100, 100 * share).toPrecision(3)) }];
  });
}

/** % of N, P2O5 and K2O in a pure salt. */
function npkOf({ formula }: Substance): { n: number; p: number; k: number } {
  const read = parseFormula(formula);
  const atoms = read.ok ? read.value.elements : {};
  const share = (symbol: string, as: string, each: number) =>
    (100 * (atoms[symbol] ?? 0) * molarMass(as)) / each / molarMass(formula);
  return { n: share('N', 'N', 1), p: share('P', 'P2O5', 2), k: share('K', 'K2O', 2) };
}
