import type { Material, OwnVessel } from '#matter/gear';

/** A stretch of boiling down in one vessel, mL. */
export interface Stretch {
  readonly vessel: OwnVessel;
  readonly fromMl: number;
  readonly toMl: number;
  /** mL that do not fit at the start and are poured in as it sinks. */
  readonly topUpMl: number;
}

/** Never on a hotplate. */
const COLD_ONLY: ReadonlySet<Material> = new Set(['jar glass', 'polyethylene', 'polypropylene', 'paper']);
/** A boiling liquid fills a vessel to this at most: it bumps and foams. */
const FULL = 0.6;
/** Shallower than this, mm, the bottom dries, spatters and crusts. */
const LEAST_DEPTH_MM = 8;

/**
 * Vessels for boiling from one volume down to another: the smallest that takes it, then a smaller one each time the liquid
 * gets too shallow for the one it is in. The last may be shallow, when there is no smaller one.
 */
export function boilingVessels(vessels: readonly OwnVessel[], fromMl: number, toMl: number): readonly Stretch[] {
  const sorted = vessels
    .filter(({ material = 'glass' }) => !COLD_ONLY.has(material))
    .sort((a, b) => a.capacityMl - b.capacityMl);
  const largest = sorted.at(-1);
  if (!largest || !(fromMl > 0) || toMl >= fromMl) return [];
  const stretches: Stretch[] = [];
  let ml = fromMl;
  let vessel = sorted.find((each) => FULL * each.capacityMl >= ml) ?? largest;
  for (;;) {
    const floor = Math.max(toMl, leastMl(vessel));
    const smaller = sorted.filter((each) => each.capacityMl < vessel.capacityMl && FULL * each.capacityMl >= floor);
    const next = smaller.find((each) => leastMl(each) < floor);
    const to = floor > toMl && next ? floor : toMl;
    stretches.push({ vessel, fromMl: ml, toMl: to, topUpMl: Math.max(0, ml - FULL * vessel.capacityMl) });
    if (to <= toMl || !next) return stretches;
    ml = to;
    vessel = next;
  }
}

/** Whether a volume lies too shallow in a vessel to be boiled without spattering. */
export function isShallow(vessel: OwnVessel, ml: number): boolean {
  return ml < leastMl(vessel);
}

function leastMl({ diameterMm }: OwnVessel): number {
  return ((Math.PI / 4) * diameterMm ** 2 * LEAST_DEPTH_MM) / 1000;
}
