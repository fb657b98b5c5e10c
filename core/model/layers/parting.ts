import { must } from '#base/lookup';
import { drivenOut, type MutualRow, mutual, volatiles } from '#matter/data';
import { density, waterDensityAt } from '#matter/solution';
import { molarMass, type SubstanceId, substanceOf } from '#matter/substance';

/** Water, and what salt is in it. */
export interface Liquor {
  readonly waterG: number;
  /** Null: plain water. */
  readonly salt: SubstanceId | null;
  readonly saltG: number;
}

/** One layer: g of what it holds, mL of it. */
export interface Layer {
  readonly liquidG: number;
  readonly waterG: number;
  readonly saltG: number;
  readonly ml: number;
  readonly gPerMl: number;
}

export interface Parted {
  /** Null where all of it dissolves in the other. */
  readonly organic: Layer | null;
  readonly aqueous: Layer | null;
  /** True where a salt’s part in it is an estimate. */
  readonly about: boolean;
}

const ROOM_C = 20;

export const mutualOf = (liquid: string): MutualRow | undefined => mutual.find((row) => row.liquid === liquid);
export const drivesOut = (salt: string) => drivenOut.find((row) => row.salt === salt);

/** g/mL of a pure liquid at 20 °C. */
export function liquidDensity(liquid: string): number {
  return volatiles.find(({ id }) => id === liquid)?.gPerMl ?? 1;
}

/**
 * So much of a liquid and so much liquor, shaken and left: each takes of the other what it holds. Salt stays in the water. The
 * shares are those at 20 to 25 °C; a salt’s effect is good to about a third of it.
 */
export function part(liquid: SubstanceId, liquidG: number, { waterG, salt, saltG }: Liquor): Parted {
  const row = must(mutualOf(liquid), 'mutualOf');
  const molal = salt && waterG > 0 ? (1000 * saltG) / molarMass(substanceOf(salt).formula) / waterG : 0;
  const drives = salt ? drivesOut(salt) : undefined;
  const perWater = (row.inWater[1] / (100 - row.inWater[1])) * 10 ** (-(drives?.k ?? 0) * molal);
  const perLiquid = (row.waterIn[1] / (100 - row.waterIn[1])) * waterActivity(molal, drives?.ions ?? 2);
  const free = (liquidG - perWater * waterG) / (1 - perWater * perLiquid);
  const water = waterG - perLiquid * free;
  const about = saltG > 0;
  if (free <= 0) return { organic: null, aqueous: layer(liquid, { liquidG, waterG, saltG }, salt), about };
  // The salt falls out of water that the liquid takes.
  if (water <= 0) return { organic: layer(liquid, { liquidG, waterG, saltG }, salt), aqueous: null, about };
  return {
    organic: layer(liquid, { liquidG: free, waterG: perLiquid * free, saltG: 0 }, null),
    aqueous: layer(liquid, { liquidG: liquidG - free, waterG: water, saltG }, salt),
    about,
  };
}

/** Water over salt against pure water; ions count in full, and somewhat more when strong. Within 3 % up to saturated brine. */
const waterActivity = (molal: number, ions: number) => Math.exp(-0.018 * ions * molal * (0.92 + 0.055 * molal));

function layer(
  liquid: string,
  { liquidG, waterG, saltG }: { liquidG: number; waterG: number; saltG: number },
  salt: SubstanceId | null,
): Layer {
  const liquor = waterG + saltG;
  const ml = liquidG / liquidDensity(liquid) + (liquor > 0 ? liquor / liquorDensity(salt, (100 * saltG) / liquor) : 0);
  return { liquidG, waterG, saltG, ml, gPerMl: (liquidG + liquor) / ml };
}

/** g/mL of a salt’s solution; where no table is held, as most salts of one-valued ions have it: within 2 % up to 30 %. */
export function liquorDensity(salt: SubstanceId | null, pct: number): number {
  if (!salt || pct <= 0) return waterDensityAt(ROOM_C);
  const found = density(substanceOf(salt), pct, ROOM_C);
  return found.ok ? found.value.gPerMl : waterDensityAt(ROOM_C) * (1 + pct / 140);
}
