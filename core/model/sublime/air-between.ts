import { unwrap } from '#base/problem';
import { molarMass, parseFormula } from '#matter/substance';

const KELVIN = 273.15;
const AIR_M = 28.96;
/** Diffusion volume of air. */
const AIR_VOLUME = 19.7;
/** Of atoms in a molecule, mL/mol; Fuller, Ensley and Giddings 1969, as revised in Poling, Prausnitz and O’Connell. */
const VOLUMES: Readonly<Record<string, number>> = {
  C: 15.9,
  H: 2.31,
  O: 6.11,
  N: 4.54,
  S: 22.9,
  Cl: 21,
  Br: 21.9,
  I: 29.8,
};

/** cm²/s of a vapour in air at 1013 hPa, by Fuller: within about a fifth for what sublimes. */
export function diffusion(formula: string, tempC: number): number {
  const { elements } = unwrap(parseFormula(formula));
  const volume = Object.entries(elements).reduce((sum, [atom, n]) => sum + (VOLUMES[atom] ?? 20) * n, 0);
  const M = 2 / (1 / molarMass(formula) + 1 / AIR_M);
  return (1.43e-3 * (tempC + KELVIN) ** 1.75) / (Math.sqrt(M) * (Math.cbrt(volume) + Math.cbrt(AIR_VOLUME)) ** 2);
}

interface Gap {
  readonly hotC: number;
  readonly coldC: number;
  readonly cm: number;
  /** Mole fraction of the vapour over the dish, and its molar mass: heavy vapour lies still. */
  readonly share: number;
  readonly M: number;
}

/**
 * How many times faster than by diffusion alone heat and vapour cross the air from a warm dish to a cold cover above it, by Hollands
 * 1976 for layers of air; 1 where the air lies still. Vapour heavier than air works against the warmth: how far, between wholly
 * and not at all, is not known, and the middle of both is taken.
 */
export function stirredByItself({ hotC, coldC, cm, share, M }: Gap): number {
  const mean = (hotC + coldC) / 2 + KELVIN;
  const warmth = (hotC - coldC) / mean;
  if (warmth <= 0) return 1;
  const weight = share * (M / AIR_M - 1);
  const light = turning(warmth, mean, cm);
  const heavy = 1 + (light - 1) / (1 + Math.max(0, weight) / warmth);
  return Math.sqrt(light * heavy);
}

/** Nusselt number of a layer of air that a share of its density lifts. */
function turning(lift: number, meanK: number, cm: number): number {
  const scale = (meanK / 300) ** 1.75;
  const rayleigh = (981 * Math.max(0, lift) * cm ** 3) / (0.158 * scale * 0.222 * scale);
  if (rayleigh <= 1708) return 1;
  return 1 + 1.44 * (1 - 1708 / rayleigh) + Math.max(0, Math.cbrt(rayleigh / 5830) - 1);
}

/** W/(cm K) of air. */
export const AIR_CONDUCTS = 2.6e-4;
