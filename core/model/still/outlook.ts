import { itemAt } from '#base/lookup';
import type { StillAsked, StillPoint } from './asked.ts';

/** What lies between now and a change of the receiver. */
export interface Outlook {
  readonly minutes: number;
  /** Half of what the minutes may be off. */
  readonly bandMin: number;
  readonly headC: number;
  readonly potC: number;
  readonly overMl: number;
}

type Column = Exclude<keyof StillPoint, 'overMl'>;

/** A column of a course at a volume over, straight between points. */
export function pointAt(points: readonly StillPoint[], column: Column, ml: number): number {
  const last = points.at(-1);
  if (!last) return Number.NaN;
  if (ml >= last.overMl) return last[column];
  const i = points.findIndex((each) => each.overMl >= ml);
  const [a, b] = [itemAt(points, Math.max(0, i - 1)), itemAt(points, i)];
  const span = b.overMl - a.overMl;
  return span > 0 ? a[column] + ((b[column] - a[column]) * (ml - a.overMl)) / span : b[column];
}

/** mL over when so many g are. */
export function mlAtGrams(points: readonly StillPoint[], grams: number): number {
  const i = points.findIndex((each) => each.overG >= grams);
  if (i < 0) return points.at(-1)?.overMl ?? 0;
  const [a, b] = [itemAt(points, Math.max(0, i - 1)), itemAt(points, i)];
  const span = b.overG - a.overG;
  return span > 0 ? a.overMl + ((b.overMl - a.overMl) * (grams - a.overG)) / span : b.overMl;
}

/** mL over so many min after the first drop. */
export function mlAtMinutes(points: readonly StillPoint[], minutes: number): number {
  const zero = points[0]?.minutes ?? 0;
  const i = points.findIndex((each) => each.minutes - zero >= minutes);
  if (i < 0) return points.at(-1)?.overMl ?? 0;
  const [a, b] = [itemAt(points, Math.max(0, i - 1)), itemAt(points, i)];
  const span = b.minutes - a.minutes;
  return span > 0 ? a.overMl + ((b.overMl - a.overMl) * (minutes + zero - a.minutes)) / span : b.overMl;
}

/** How long it takes from one volume over to another, at a share of the heat it was planned with. */
export function outlook(
  points: readonly StillPoint[],
  { fromMl, toMl, power, heatSd }: { fromMl: number; toMl: number; power: number; heatSd: number },
): Outlook {
  const planned = Math.max(0, pointAt(points, 'minutes', toMl) - pointAt(points, 'minutes', fromMl));
  const minutes = power > 0 ? planned / power : Number.POSITIVE_INFINITY;
  return {
    minutes,
    bandMin: 2 * heatSd * minutes + 0.3,
    headC: pointAt(points, 'headC', toMl),
    potC: pointAt(points, 'potC', toMl),
    overMl: toMl,
  };
}

/** What a receiver holds that is changed at two volumes: mL, mass %, % of what was charged. */
export interface Between {
  readonly ml: number;
  readonly grams: number;
  readonly pct: number;
  readonly recoveryPct: number;
  /** % that came as gas meanwhile. */
  readonly gasPct: number;
}

/** g of either liquid that were charged, and which of them counts: the model’s first boils lower, the product may be the other. */
export interface Charged {
  readonly firstG: number;
  readonly otherG: number;
  readonly countsOther: boolean;
}

export function chargedOf(
  { grams, pct, first }: Pick<StillAsked, 'grams' | 'pct' | 'first'>,
  counts: string = first,
): Charged {
  const firstG = (grams * pct) / 100;
  return { firstG, otherG: grams - firstG, countsOther: counts !== first };
}

/** mL, g, and what of it is the liquid that counts. */
export function between(
  points: readonly StillPoint[],
  [fromMl, toMl]: readonly [number, number],
  { firstG, otherG, countsOther }: Charged,
): Between {
  const grams = Math.max(0, pointAt(points, 'overG', toMl) - pointAt(points, 'overG', fromMl));
  const recoveryPct = Math.max(0, pointAt(points, 'recoveryPct', toMl) - pointAt(points, 'recoveryPct', fromMl));
  if (countsOther) {
    const over = Math.max(0, grams - (recoveryPct * firstG) / 100);
    return {
      ml: Math.max(0, toMl - fromMl),
      grams,
      pct: grams > 0 ? (100 * over) / grams : 0,
      recoveryPct: otherG > 0 ? Math.min(100, (100 * over) / otherG) : 0,
      gasPct: 0,
    };
  }
  return {
    ml: Math.max(0, toMl - fromMl),
    grams,
    pct: grams > 0 ? Math.min(100, (recoveryPct * firstG) / grams) : 0,
    recoveryPct,
    gasPct: Math.max(0, pointAt(points, 'gasPct', toMl) - pointAt(points, 'gasPct', fromMl)),
  };
}
