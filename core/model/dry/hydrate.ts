import { hydrateWater, molarMass } from '#matter/substance';

export interface HydrateFinding {
  /** Crystal water for each formula unit, by the mass, with its 95 % band. */
  readonly water: number;
  readonly band: number;
  readonly says: 'as its formula' | 'wetter' | 'over-dried';
  readonly sentence: string;
}

const WATER = 18.015;

/**
 * Which hydrate a mass says, from the mol of substance that is in it: (m ÷ n − M) ÷ M(H2O). `sdG` and `sdMol` are
 * standard uncertainties. A loss of substance on the way reads as less water, which is why the band matters.
 */
export function hydrateBy(
  formula: string,
  grams: number,
  mol: number,
  sdG: number,
  sdMol: number,
): HydrateFinding | undefined {
  if (!(mol > 0) || !(grams > 0)) return undefined;
  const expected = hydrateWater(formula);
  const dry = molarMass(formula.replace(/\.\d*(?:\.\d+)?H2O$/, ''));
  const water = (grams / mol - dry) / WATER;
  const band = (2 * Math.hypot(sdG / mol, (grams * sdMol) / mol ** 2)) / WATER;
  const off = water - expected;
  const shown = `${water.toFixed(2)} ± ${band.toFixed(2)} H₂O, the formula has ${expected}`;
  if (Math.abs(off) <= Math.max(band, 0.15))
    return { water, band, says: 'as its formula', sentence: `${shown}: as it should be.` };
  return off > 0
    ? { water, band, says: 'wetter', sentence: `${shown}: still wet, by ${(off * WATER * mol).toFixed(2)} g.` }
    : {
        water,
        band,
        says: 'over-dried',
        sentence: `${shown}: over-dried: crystal water has gone. Leave it in moist air, or call it the lower hydrate.`,
      };
}

/** Which hydrate a sample was, from its mass before and after it was heated until it lost no more: only water may leave it. */
export function hydrateByLoss(
  formula: string,
  beforeG: number,
  afterG: number,
  sdG: number,
): HydrateFinding | undefined {
  if (!(afterG > 0) || !(beforeG >= afterG)) return undefined;
  const dry = molarMass(formula.replace(/\.\d*(?:\.\d+)?H2O$/, ''));
  return hydrateBy(formula, beforeG, afterG / dry, sdG, sdG / dry);
}
