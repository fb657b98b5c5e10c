import { must } from '#base/lookup';
import type { GrainId } from '#matter/data';
import { substanceById } from '#matter/substance';

/** Grains as they come: diameter in water, µm, least and most, and how dense they are, g/mL. Estimates, grade C. */
export interface Grain {
  readonly id: GrainId;
  readonly name: string;
  readonly micron: readonly [number, number];
  readonly gPerMl: number;
  /** Resistance of its cake, m/kg, least and most. */
  readonly cake: readonly [number, number];
  /** Water that a g of its cake holds when drained, g. */
  readonly holds: number;
}

export const grains: readonly Grain[] = [
  { id: 'crystals', name: 'crystals', micron: [200, 1000], gPerMl: 2, cake: [1e8, 1e9], holds: 0.3 },
  { id: 'powder', name: 'a coarse powder, grown warm', micron: [10, 40], gPerMl: 2.7, cake: [1e10, 1e11], holds: 2 },
  { id: 'fine', name: 'a fine powder', micron: [4, 10], gPerMl: 3.5, cake: [1e11, 6e11], holds: 2.5 },
  { id: 'jelly', name: 'a jelly or flocks', micron: [8, 30], gPerMl: 1.08, cake: [1e12, 1e13], holds: 8 },
];

/** The kind of grain that a substance precipitates in. */
export function grainOf(substanceId: string): Grain {
  return grainNamed(substanceById(substanceId)?.grain ?? 'crystals');
}

export function grainNamed(id: Grain['id']): Grain {
  return must(
    grains.find((each) => each.id === id),
    'grains',
  );
}

/** Viscosity of water, Pa s (Vogel–Fulcher fit of IAPWS values: 1.002e-3 at 20 °C, within 2 % from 0 to 100 °C). */
export function waterViscosity(tempC: number): number {
  return 2.414e-5 * 10 ** (247.8 / (tempC + 133.15));
}

const G = 9.81;

/** mm/s at which a single grain sinks in water: g Δρ d² ÷ 18 µ (Stokes). Round grains up to about 60 µm; larger ones sink slower than it says. */
export function stokesMmPerS(micron: number, gPerMl: number, tempC: number): number {
  return (1000 * G * (gPerMl - 1) * 1000 * (micron * 1e-6) ** 2) / (18 * waterViscosity(tempC));
}

/** Above this Stokes is left: a grain of sand falls some mm/s whatever it says. */
const FASTEST_MM_PER_S = 20;

/**
 * Hours until a slurry of a height (mm) has cleared, from the smallest grains to the largest: Stokes, held back by the
 * crowd as (1 − φ)^4.65 (Richardson and Zaki 1954), φ being the part of the volume that the solid takes. Least, most.
 */
export function settlingHours(
  grain: Grain,
  heightMm: number,
  solidPart: number,
  tempC: number,
): readonly [number, number] {
  const crowd = (1 - Math.min(0.4, Math.max(0, solidPart))) ** 4.65;
  const [small, large] = grain.micron;
  const hours = (micron: number) => {
    const v = Math.min(FASTEST_MM_PER_S, stokesMmPerS(micron, grain.gPerMl, tempC)) * crowd;
    return heightMm / v / 3600;
  };
  return [hours(large), hours(small)];
}
