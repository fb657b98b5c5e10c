import { itemAt, numberAt } from '#base/lookup';
import type { CurvePoint } from './curve.ts';

/** A reading of a pH probe after so much titrant. */
export type ProbePoint = CurvePoint;

export interface EndPoint {
  readonly titreMl: number;
  readonly by: 'derivative' | 'gran';
  /** mL, from the spacing of the readings or the scatter about the line. */
  readonly sdMl: number;
}

/** ΔpH/ΔV between readings, at the middles. Readings at one titre are taken together. */
export function slopesOf(
  points: readonly ProbePoint[],
): readonly { readonly titreMl: number; readonly slope: number }[] {
  const sorted = inOrder(points);
  return sorted.slice(1).map(({ titreMl, pH }, i) => {
    const before = itemAt(sorted, i);
    return { titreMl: (titreMl + before.titreMl) / 2, slope: (pH - before.pH) / (titreMl - before.titreMl) };
  });
}

/** Readings in order of titre, those at the same titre averaged. */
export function inOrder(points: readonly ProbePoint[]): readonly ProbePoint[] {
  const by = new Map<number, number[]>();
  for (const { titreMl, pH } of points) by.set(titreMl, [...(by.get(titreMl) ?? []), pH]);
  return [...by]
    .map(([titreMl, pHs]) => ({ titreMl, pH: pHs.reduce((a, b) => a + b, 0) / pHs.length }))
    .sort((a, b) => a.titreMl - b.titreMl);
}

/** pH for a mL below which a rise is no end point, and how much steeper than the rest it must be. */
const LEAST_SLOPE = 0.3;
const STEEPER = 3;

/**
 * The steepest place, by a parabola through the steepest slope and its neighbours. Null when there is none to speak of: too few
 * readings, no jump, or a jump only at the last one, which may still be growing.
 */
export function derivativeEnd(points: readonly ProbePoint[]): EndPoint | null {
  const slopes = slopesOf(points);
  if (slopes.length < 4) return null;
  const sizes = slopes.map(({ slope }) => Math.abs(slope));
  const at = sizes.indexOf(Math.max(...sizes));
  const typical = numberAt(
    [...sizes].sort((a, b) => a - b),
    Math.floor(sizes.length / 2),
  );
  if (at === 0 || at === slopes.length - 1) return null;
  if (numberAt(sizes, at) < LEAST_SLOPE || numberAt(sizes, at) < STEEPER * typical) return null;
  const [a, b, c] = [itemAt(slopes, at - 1), itemAt(slopes, at), itemAt(slopes, at + 1)];
  const top = vertex([a.titreMl, Math.abs(a.slope)], [b.titreMl, Math.abs(b.slope)], [c.titreMl, Math.abs(c.slope)]);
  const spacing = (c.titreMl - a.titreMl) / 2;
  const titreMl = Math.min(c.titreMl, Math.max(a.titreMl, top));
  return { titreMl, by: 'derivative', sdMl: spacing / Math.sqrt(12) };
}

type Point = readonly [x: number, y: number];

/** Where the parabola through three points has its top; the middle point when they lie on a line. */
function vertex([x1, y1]: Point, [x2, y2]: Point, [x3, y3]: Point): number {
  const d1 = (y2 - y1) / (x2 - x1);
  const d2 = (y3 - y2) / (x3 - x2);
  const curve = (d2 - d1) / (x3 - x1);
  return curve < 0 ? (x1 + x2) / 2 - d1 / (2 * curve) : x2;
}

/**
 * Gran's line through readings before the end (a strong acid or base titrated): (V₀ + V) × 10^∓pH falls to nought at the
 * equivalence point. For a weak one, V × 10^∓pH does: within 1.5 %, since the ionic strength grows on the way. Null when fewer than three readings lie on its straight part.
 */
export function granEnd(
  points: readonly ProbePoint[],
  { sampleMl, weak, rising }: { readonly sampleMl: number; readonly weak: boolean; readonly rising: boolean },
): EndPoint | null {
  const end = derivativeEnd(points)?.titreMl ?? Number.POSITIVE_INFINITY;
  const last = Math.max(...points.map(({ titreMl }) => titreMl));
  const upTo = Math.min(end, last);
  // The far half, short of the jump: nearer the start a weak acid's own dissociation bends the line.
  const used = inOrder(points).filter(({ titreMl }) => titreMl >= 0.4 * upTo && titreMl <= 0.95 * upTo && titreMl > 0);
  if (used.length < 3) return null;
  const line = used.map(({ titreMl, pH }): Point => {
    const power = 10 ** (rising ? -pH : pH - 14);
    return [titreMl, (weak ? titreMl : sampleMl + titreMl) * power];
  });
  const fit = straight(line);
  if (!fit || !(fit.slope < 0)) return null;
  const titreMl = -fit.intercept / fit.slope;
  const sdMl = fit.scatter / Math.abs(fit.slope);
  return Number.isFinite(titreMl) && titreMl > 0 ? { titreMl, by: 'gran', sdMl } : null;
}

/** Least squares; undefined when all stand at one place. */
function straight(points: readonly Point[]): { slope: number; intercept: number; scatter: number } | undefined {
  const n = points.length;
  const mx = points.reduce((sum, [x]) => sum + x, 0) / n;
  const my = points.reduce((sum, [, y]) => sum + y, 0) / n;
  let sxx = 0;
  let sxy = 0;
  for (const [x, y] of points) {
    sxx += (x - mx) ** 2;
    sxy += (x - mx) * (y - my);
  }
  if (!(sxx > 0)) return undefined;
  const slope = sxy / sxx;
  const intercept = my - slope * mx;
  const rest = points.reduce((sum, [x, y]) => sum + (y - intercept - slope * x) ** 2, 0);
  return { slope, intercept, scatter: Math.sqrt(rest / Math.max(1, n - 2)) };
}
