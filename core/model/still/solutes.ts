import { type Mixture, mixtureById, SEA_LEVEL_HPA } from './mixture.ts';

/** What stays in the flask, mol: sulfuric acid apart, since it holds water as nothing else does. */
export interface Staying {
  readonly sulfuric: number;
  /** Particles of everything else: ions of salts, molecules of syrups. */
  readonly particles: number;
  /** g of all of it. */
  readonly grams: number;
}

export const NOTHING_STAYS: Staying = { sulfuric: 0, particles: 0, grams: 0 };

/** mol of water that a particle keeps from boiling, and a mol of sulfuric acid. */
const HOLDS = 1;
const SULFURIC_HOLDS = 3.4;
/** Of the water at least this share boils as if nothing held it. */
const LEAST_FREE = 0.03;
/** Kelvin for each mol of particles in a kg of water. */
const EBULLIOSCOPIC = 0.513;
/** The same in an organic liquid: 1.2 in ethanol, 1.7 in acetone, 2.8 in ethyl acetate (CRC Handbook). */
const EBULLIOSCOPIC_ORGANIC = 2;

/**
 * What stays changes what boils: the second substance is counted without what the solutes hold of it, so the first comes over
 * sooner; the flask is hotter than its vapour, by sulfuric acid’s own boiling curve, by 0.5 K for each mol/kg of the rest. Two
 * liquids of which none is water hold nothing fast: they boil about 2 K hotter for each mol/kg.
 * Rough: right in direction, to a third in size.
 */
export function boilingWith(
  mixture: Mixture,
  [n1, n2]: readonly [number, number],
  staying: Staying,
): { readonly x: number; readonly raiseK: number } {
  if (staying.sulfuric <= 0 && staying.particles <= 0) return { x: n1 / (n1 + n2), raiseK: 0 };
  if (mixture.second.id !== 'water') {
    const kg = (n1 * mixture.first.M + n2 * mixture.second.M) / 1000;
    const raiseK = kg > 0 ? (EBULLIOSCOPIC_ORGANIC * (staying.particles + staying.sulfuric)) / kg : 0;
    return { x: n1 / (n1 + n2), raiseK: Math.min(200, raiseK) };
  }
  const held = SULFURIC_HOLDS * staying.sulfuric + HOLDS * staying.particles;
  const free = Math.max(LEAST_FREE * n2, n2 - held);
  const solventG = n1 * mixture.first.M + n2 * mixture.second.M;
  const x = n1 + free > 0 ? n1 / (n1 + free) : 0;
  // What the other volatile does to water’s boiling point, it does only to the water that is free.
  const bound = Math.min(1, (SULFURIC_HOLDS * staying.sulfuric) / Math.max(1e-12, n2));
  const own = bound > 0 ? bound * (mixture.boilsAt(x) - mixture.boilsAt(0)) : 0;
  const raiseK = sulfuricRaise(staying.sulfuric, n2) + (EBULLIOSCOPIC * staying.particles) / (solventG / 1000) - own;
  return { x, raiseK: Math.min(200, raiseK) };
}

function sulfuricRaise(sulfuric: number, water: number): number {
  if (sulfuric <= 0) return 0;
  const curve = mixtureById('sulfuric-acid-water', SEA_LEVEL_HPA);
  return curve.boilsAt(sulfuric / (sulfuric + water)) - curve.boilsAt(0);
}
