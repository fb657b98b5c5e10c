/** What replicates say of themselves, before anything else is known of them. */
export interface Statistics {
  readonly n: number;
  readonly mean: number;
  /** Of one replicate; null for a single one. */
  readonly sd: number | null;
  /** Half-width of Student's 95 % interval of the mean; null for a single one. */
  readonly tHalf: number | null;
  /** The one that lies farthest off, where it is far enough to be suspect (Grubbs, two-sided, 5 %). */
  readonly outlier: Outlier | null;
}

export interface Outlier {
  /** Its place in the list. */
  readonly index: number;
  /** How many standard deviations it lies from the mean, and how many would be too many. */
  readonly g: number;
  readonly critical: number;
}

/** Student's t, 95 % two-sided, by degrees of freedom from 1; 1.96 beyond. ISO 2602. */
const T_95 = [12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228, 2.201, 2.179, 2.16, 2.145, 2.131];
/** Grubbs' critical values, two-sided 5 %, for three replicates and more. Grubbs and Beck 1972. */
const GRUBBS_95 = [1.1543, 1.4812, 1.715, 1.8871, 2.02, 2.1266, 2.215, 2.29, 2.3547, 2.4116, 2.462, 2.5073, 2.5483];

export function studentT(degrees: number): number {
  return T_95[degrees - 1] ?? 1.96;
}

/** Mean, standard deviation, t interval and suspect value of replicates; undefined of none. */
export function statisticsOf(values: readonly number[]): Statistics | undefined {
  const n = values.length;
  if (n === 0) return undefined;
  const mean = values.reduce((a, b) => a + b, 0) / n;
  if (n === 1) return { n, mean, sd: null, tHalf: null, outlier: null };
  const sd = Math.sqrt(values.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (n - 1));
  return { n, mean, sd, tHalf: (studentT(n - 1) * sd) / Math.sqrt(n), outlier: outlierOf(values, mean, sd) };
}

/** Never left out for anybody: only pointed at. */
function outlierOf(values: readonly number[], mean: number, sd: number): Outlier | null {
  const critical = GRUBBS_95[values.length - 3];
  if (critical === undefined || !(sd > 0)) return null;
  const far = values.map((each) => Math.abs(each - mean) / sd);
  const g = Math.max(...far);
  return g > critical ? { index: far.indexOf(g), g, critical } : null;
}
