/** A washing: liquor that the cake holds, mL, and each portion, mL. */
export interface Washing {
  readonly retainedMl: number;
  readonly portionsMl: readonly number[];
}

/** Share of what was dissolved that is left after the portions, 0 to 1: the product of R ÷ (R + V). */
export function washed({ retainedMl, portionsMl }: Washing): number {
  return portionsMl.reduce((left, portion) => (left * retainedMl) / (retainedMl + portion), 1);
}

/** Equal portions needed to bring what is dissolved down to a share; undefined when no number would. */
export function portionsFor(retainedMl: number, portionMl: number, share: number): number | undefined {
  if (share >= 1) return 0;
  if (!(share > 0) || !(portionMl > 0)) return undefined;
  if (retainedMl <= 0) return 1;
  const portions = Math.ceil(Math.log(share) / Math.log(retainedMl / (retainedMl + portionMl)) - 1e-9);
  // Drops against a bucket: nobody washes so.
  return portions > 0 && portions <= MOST_PORTIONS ? portions : undefined;
}

const MOST_PORTIONS = 10_000;

/** So much water in one to `most` equal portions (equal ones are the best split): what each way leaves, and loses of the product. */
export function washings(
  retainedMl: number,
  waterMl: number,
  most: number,
  productGPer100Ml: number,
): readonly { readonly portions: number; readonly left: number; readonly lostG: number }[] {
  return Array.from({ length: most }, (_, i) => {
    const portions = i + 1;
    const portionsMl = Array.from({ length: portions }, () => waterMl / portions);
    return { portions, left: washed({ retainedMl, portionsMl }), lostG: (waterMl * productGPer100Ml) / 100 };
  });
}

/** What the washings read after so many portions, as something that falls: conductivity, or what a pH stands for. */
export interface WashReading {
  readonly portion: number;
  readonly value: number;
}

/**
 * Portions still to come until the reading is down to a goal, from how it fell so far (a straight line through its
 * logarithm); with a single reading, by the share that a portion should leave. 0 says stop; undefined says that it does
 * not fall.
 */
export function washReading(readings: readonly WashReading[], goal: number, byCake?: number): number | undefined {
  const last = [...readings].sort((a, b) => a.portion - b.portion).at(-1);
  if (!last) return undefined;
  if (last.value <= goal) return 0;
  const points = readings
    .filter(({ value }) => value > 0)
    .map(({ portion, value }) => [portion, Math.log(value)] as const);
  if (points.length < 2)
    return byCake !== undefined && byCake > 0 && byCake < 1
      ? Math.ceil(Math.log(goal / last.value) / Math.log(byCake) - 1e-9)
      : undefined;
  const n = points.length;
  const [sx, sy] = [points.reduce((a, [x]) => a + x, 0), points.reduce((a, [, y]) => a + y, 0)];
  const slope =
    (n * points.reduce((a, [x, y]) => a + x * y, 0) - sx * sy) /
    (n * points.reduce((a, [x]) => a + x * x, 0) - sx * sx);
  return slope < -0.02 ? Math.ceil((Math.log(goal) - Math.log(last.value)) / slope - 1e-9) : undefined;
}

/**
 * Readings of pH as what is washed out: acid (mol/L) while they lie below the goal, alkali while above it, told by the
 * first. Once past the goal they are clean.
 */
export function phAsWashed(
  readings: readonly WashReading[],
  goalPh: number,
): { readonly readings: readonly WashReading[]; readonly goal: number } {
  const acid = (readings[0]?.value ?? goalPh) <= goalPh;
  const amount = (pH: number) => (acid ? 10 ** -pH : 10 ** (pH - 14));
  return { readings: readings.map(({ portion, value }) => ({ portion, value: amount(value) })), goal: amount(goalPh) };
}
