import type { OwnVessel } from '#matter/gear';

export interface VesselFit {
  readonly vessel: OwnVessel;
  /** False when even the largest is too small. */
  readonly holds: boolean;
  /** 0 to 1 of the vessel, liquid alone and with foam. */
  readonly liquidShare: number;
  readonly foamShare: number;
}

/** Liquid alone to four fifths (stirring, carrying), foam to 95 %: above either it runs over. */
const LIQUID_LIMIT = 0.8;
const FOAM_LIMIT = 0.95;

/**
 * The smallest vessel that holds the liquid and its foam, mL, and that `suits` what is in it; the largest, with `holds`
 * false, when none does.
 */
export function fitVessel(
  vessels: readonly OwnVessel[],
  liquidMl: number,
  foamMl: number,
  suits: (vessel: OwnVessel) => boolean = () => true,
): VesselFit | undefined {
  const sorted = [...vessels].sort((a, b) => a.capacityMl - b.capacityMl);
  const fits = ({ capacityMl }: OwnVessel) =>
    liquidMl <= LIQUID_LIMIT * capacityMl && liquidMl + foamMl <= FOAM_LIMIT * capacityMl;
  const vessel = sorted.find((each) => fits(each) && suits(each)) ?? sorted.find(fits) ?? sorted.at(-1);
  if (!vessel) return undefined;
  return {
    vessel,
    holds: fits(vessel),
    liquidShare: liquidMl / vessel.capacityMl,
    foamShare: (liquidMl + foamMl) / vessel.capacityMl,
  };
}
