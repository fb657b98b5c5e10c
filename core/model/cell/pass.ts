import { must } from '#base/lookup';
import { type CellSetup, type CellState, gasLeaves, isDivided } from './cell.ts';
import { FARADAY } from './charge-of-a-mole.ts';
import { HALVES, type Half } from './electrodes.ts';
import { type Amounts, massG, volumeMl } from './liquid.ts';
import { constantOf, evaporatesKgPerM2H, lossWPerK } from './published.ts';
import { settle } from './settle.ts';
import {
  anionPlaces,
  at,
  cationPlaces,
  charges,
  enthalpies,
  isA,
  masses,
  type Place,
  places,
  speciesNames,
} from './species.ts';
import { ANODIC, CATHODIC, dividerOfKind, layerOf, type Rates } from './stock.ts';

// A stride of a cell: charge, ions and warmth go on at the rates that were found. Everything is booked; nothing is lost.

/** A cell with the rates that hold for its next stride. */
export interface Live {
  readonly setup: CellSetup;
  readonly state: CellState;
  readonly rates: Rates;
}

const WATER_M = masses[at.H2O];
/** cm²/s of a salt in water. */
const DIFFUSES = 1.2e-5;
/** J/(g K) of a salt solution, and of the vessel, J/K. */
const HEAT_PER_G = 3.9;
const VESSEL_J_PER_K = 120;
/** °C; salt lifts it a little. */
const BOILS_C = 100;
/** J/g of water at its boil. */
const LATENT = 2257;
const CARRIED_G_PER_AH = constantOf('mist and gas carry-over at 1 A').value;
const SECONDS_PER_H = 3600;

/** Lets a stride pass at the rates that were found; answers how long it was, s. */
export function pass(live: Live, most: number): number {
  const { setup, state, rates } = live;
  const divided = isDivided(setup);
  const dt = strideFor(live, most);
  const before = enthalpyOf(state);
  const q = (rates.amps * dt) / FARADAY;
  if (q > 0) {
    for (const half of ANODIC) act(live, 'anode', { half, q: (rates.anodic[half] ?? 0) * q });
    for (const half of CATHODIC) act(live, 'cathode', { half, q: (rates.cathodic[half] ?? 0) * q });
    if (divided) migrate(state, rates.t, q);
  }
  if (divided) diffuse(live, dt);
  settle(state.a);
  if (divided) {
    const blue = state.k[at['Cu(OH)2']];
    settle(state.k);
    // Copper that comes through the wall meets alkali in its pores.
    state.wallMol += Math.max(0, state.k[at['Cu(OH)2']] - blue);
  }
  gasLeaves(state);
  const supplied = rates.amps * rates.volts * dt;
  const chemical = 1000 * (enthalpyOf(state) - before);
  const boiling = warm(live, dt, { supplied, chemical });
  evaporate(live, dt, boiling / LATENT);
  age(live, dt);
  state.seconds += dt;
  state.coulombs += rates.amps * dt;
  state.usedAh += (rates.amps * dt) / SECONDS_PER_H;
  state.amps = rates.amps;
  state.volts = rates.volts;
  return dt;
}

/** No stride takes more than a part of what it draws on. */
function strideFor({ setup, state, rates }: Live, most: number): number {
  let dt = most;
  if (!(rates.amps > 0)) return dt;
  const perS = rates.amps / FARADAY;
  const holds = (mol: number, rate: number) => {
    if (mol > 1e-7 && rate > 0) dt = Math.min(dt, Math.max(0.5, (0.15 * mol) / rate));
  };
  const plates = rates.cathodic['copper plates'] ?? 0;
  holds((isDivided(setup) ? state.k : state.a)[at['Cu2+']], (plates * perS) / 2);
  if (!isDivided(setup)) return dt;
  for (const i of cationPlaces) holds(state.a[i], (rates.t[i] * perS) / charges[i]);
  for (const i of anionPlaces) holds(state.k[i], (-rates.t[i] * perS) / charges[i]);
  return dt;
}

/** A reaction of an electrode, for so many mol of electrons. */
function act({ setup, state }: Live, at: 'anode' | 'cathode', { half, q }: { half: Half; q: number }): void {
  if (!(q > 0)) return;
  const n = at === 'cathode' && isDivided(setup) ? state.k : state.a;
  const anodic = half === 'copper' || half === 'zinc' || half === 'iron' || half === 'carbon';
  for (const [i, nu] of HALVES[half].by) {
    if (anodic && isMetal(i)) {
      state.wornMol -= nu * q;
      if (state.anodeMol !== null) state.anodeMol = Math.max(0, state.anodeMol + nu * q);
    } else n[i] += nu * q;
  }
}

const metals = new Set(speciesNames.filter((name) => isA(name, 'metal')).map((name) => at[name]));
const isMetal = (i: Place): boolean => metals.has(i);

function migrate(state: CellState, t: Amounts, q: number): void {
  for (const i of cationPlaces) {
    const moved = Math.min(state.a[i], (t[i] * q) / charges[i]);
    state.a[i] -= moved;
    state.k[i] += moved;
  }
  for (const i of anionPlaces) {
    const moved = Math.min(state.k[i], (-t[i] * q) / charges[i]);
    state.k[i] -= moved;
    state.a[i] += moved;
  }
}

/** Salt goes from the stronger side to the weaker, through the divider’s pores. */
function diffuse({ setup, state }: Live, dt: number): void {
  const divider = must(dividerOfKind(setup.divider), 'divider');
  const times = divider.times?.value ?? 30;
  const { cm2, mm } = layerOf(setup);
  const litresPerS = (DIFFUSES / times) * (cm2 / (mm / 10)) * 1e-3;
  const [la, lk] = [volumeMl(state.a) / 1000, volumeMl(state.k) / 1000];
  if (!(la > 1e-9 && lk > 1e-9)) return;
  // By what is there now, not before the ions migrated: nothing gives more than it has.
  const litres = Math.min(litresPerS * dt, 0.2 * Math.min(la, lk));
  for (const i of cationPlaces) exchange(state, i, litres * (state.a[i] / la - state.k[i] / lk));
  for (const i of anionPlaces) exchange(state, i, litres * (state.a[i] / la - state.k[i] / lk));
}

function exchange(state: CellState, i: Place, mol: number): void {
  state.a[i] -= mol;
  state.k[i] += mol;
}

/** kJ of everything there, against the elements, of which the anode’s metal is one. What evaporates goes as water. */
export function enthalpyOf({ a, k, gas, evaporatedG }: CellState): number {
  let sum = (enthalpies[at.H2O] * evaporatedG) / WATER_M;
  for (const i of places) sum += enthalpies[i] * (a[i] + k[i] + gas[i]);
  return sum;
}

/** Warms it, no further than to its boil; answers the J that boil water off. */
function warm(
  { setup: { airC }, state }: Live,
  dt: number,
  { supplied, chemical }: { supplied: number; chemical: number },
): number {
  const grams = massG(state.a) + massG(state.k);
  const capacity = HEAT_PER_G * grams + VESSEL_J_PER_K;
  const perK = lossWPerK(volumeMl(state.a) + volumeMl(state.k));
  const made = supplied - chemical;
  // Towards its end by the exponential: a long stride overshoots nothing.
  const end = airC + made / dt / perK;
  const free = end + (state.tempC - end) * Math.exp((-perK * dt) / capacity);
  const next = Math.min(free, BOILS_C);
  const stored = capacity * (next - state.tempC);
  state.tempC = next;
  state.energy.supplied += supplied;
  state.energy.chemical += chemical;
  state.energy.stored += stored;
  state.energy.lost += made - stored;
  return free > next ? Math.max(0, made - stored - perK * (next - airC) * dt) : 0;
}

function evaporate({ setup: { gear }, state, rates: { amps } }: Live, dt: number, boiledG: number): void {
  const perS = (evaporatesKgPerM2H(state.tempC) * gear.openCm2) / 1e4 / 3.6 + (CARRIED_G_PER_AH * amps) / SECONDS_PER_H;
  const water = state.a[at.H2O] + state.k[at.H2O];
  const gone = Math.min(perS * dt + boiledG, 0.02 * water * WATER_M);
  if (!(water > 0)) return;
  for (const n of [state.a, state.k]) n[at.H2O] -= (gone / WATER_M) * (n[at.H2O] / water);
  state.evaporatedG += gone;
}

function age({ setup, state, rates: { ca, ck } }: Live, dt: number): void {
  const divider = dividerOfKind(setup.divider);
  if (!divider) return;
  const warmer = 2 ** ((state.tempC - 25) / 10);
  const hours = dt / SECONDS_PER_H;
  if (divider.alkaliH) state.dividerUsed += (hours * warmer * ck[at['OH-']]) / divider.alkaliH.value;
  if (divider.acidH) state.dividerUsed += (hours * warmer * ca[at['H+']]) / divider.acidH.value;
}
