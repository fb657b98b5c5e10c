import { itemAt } from '#base/lookup';
import {
  anionPlaces,
  at,
  cationPlaces,
  charges,
  masses,
  type PerSpecies,
  perSpecies,
  places,
  type SpeciesName,
  volumes,
} from './species.ts';

/** mol of each species in a liquid, in the order of the list; water counts too. */
export type Amounts = PerSpecies;

const NOTHING = perSpecies(() => 0);
export const nothing = (): Amounts => [...NOTHING];

export const copyOf = (n: Readonly<Amounts>): Amounts => [...n];

/** Amounts that came as a bare list, by the same order. */
export const amountsIn = (list: readonly number[]): Amounts => perSpecies((_, name) => itemAt(list, at[name]));

/** Amounts from what is named. */
export function amountsOf(of: Readonly<Partial<Record<SpeciesName, number>>>): Amounts {
  const found = nothing();
  for (const [name, mol] of Object.entries(of)) found[at[name as SpeciesName]] = mol;
  return found;
}

const WATER_ML = masses[at.H2O] / 0.99705;
/** A proton beside sulfate makes hydrogensulfate, which takes more room; mL/mol more than the two apart. */
const BISULFATE_ML = 21.7;

/** mL of liquid, 25 °C; within 1 % up to about 2 mol/L. */
export function volumeMl(n: Amounts): number {
  let ml = n[at.H2O] * WATER_ML;
  for (const i of cationPlaces) ml += n[i] * volumes[i];
  for (const i of anionPlaces) ml += n[i] * volumes[i];
  return ml + BISULFATE_ML * Math.min(n[at['H+']], n[at['SO4 2-']]);
}

/** g of everything there. */
export function massG(n: Amounts): number {
  let g = 0;
  for (const i of places) g += n[i] * masses[i];
  return g;
}

/** mol of positive charge over negative; 0 in every liquid. */
export function chargeOf(n: Amounts): number {
  let sum = 0;
  for (const i of cationPlaces) sum += n[i] * charges[i];
  for (const i of anionPlaces) sum += n[i] * charges[i];
  return sum;
}

/** Litres of water so much: a liquid of so many mol in a litre, for asking about one. */
export function litreOf(of: Readonly<Partial<Record<SpeciesName, number>>>): Amounts {
  const n = amountsOf(of);
  const solutes = volumeMl(n);
  n[at.H2O] = Math.max(0, (1000 - solutes) / WATER_ML);
  return n;
}

/** mol/L of what is dissolved. */
export function concentrations(n: Amounts, into: Amounts = nothing()): Amounts {
  const litres = volumeMl(n) / 1000;
  const per = litres > 1e-9 ? 1 / litres : 0;
  for (const i of cationPlaces) into[i] = n[i] * per;
  for (const i of anionPlaces) into[i] = n[i] * per;
  return into;
}
