import { FARADAY } from './charge.ts';
import { conductivityAt } from './conductivity.ts';
import { type Divider, dividerFor } from './divider.ts';
import {
  anodeShares,
  cathodeShares,
  dissolves,
  HALVES,
  type Half,
  hydrogenOver,
  overAt,
  oxygenOver,
  type Shares,
} from './electrodes.ts';
import type { AnodeMaterial, CathodeMaterial, CellGear, DividerKind } from './gear.ts';
import { type Amounts, concentrations, massG, nothing, volumeMl } from './liquid.ts';
import { constantOf, evaporatesKgPerM2H, lossWPerK } from './published.ts';
import { pHOf, settle } from './settle.ts';
import { anionPlaces, at, cationPlaces, charges, COUNT, enthalpies, isA, masses, type SpeciesName, speciesNames } from './species.ts';
import { shares } from './transport.ts';

// A cell as it runs: two liquids and what stands between them, the electrodes, the supply, the warmth. Plain data, so that it is
// kept, sent and taken up again. Rates hold for a stride of at most a minute or so; amounts, charge and heat are kept exactly.

/** How a cell is built, and how it really behaves. */
export interface CellSetup {
  readonly anode: AnodeMaterial;
  readonly cathode: CathodeMaterial;
  readonly divider: DividerKind;
  readonly gear: CellGear;
  readonly airC: number;
  readonly stirred: boolean;
  /** Share of the anode’s current that goes where it should, and the best share that plates, 0 to 1. */
  readonly anodeGives: number;
  readonly cathodeGives: number;
  /** How much of the divider’s mobility hydroxide and acid keep: part is neutralised on its way. */
  readonly hydroxide: number;
  /** The divider’s resistance, times the usual. */
  readonly wall: number;
}

/** Hydroxide and acid in a divider, and metals that alkali throws down: a third as quick as in free liquid, fitted to cells as published. Grade C. */
export const USUAL_HYDROXIDE = 0.35;

export interface CellState {
  /** The anode’s side; all there is where nothing divides. */
  readonly a: Amounts;
  /** The cathode’s side; empty where nothing divides. */
  readonly k: Amounts;
  /** mol of gas that has left, by species. */
  readonly gas: Amounts;
  /** mol of the anode’s own metal under the liquid; null where it survives or was not weighed. */
  anodeMol: number | null;
  /** mol of metal that left the anode. */
  wornMol: number;
  seconds: number;
  coulombs: number;
  tempC: number;
  evaporatedG: number;
  /** mol of hydroxide in the pores of the divider. */
  wallMol: number;
  /** Share of the divider’s life that is used up. */
  dividerUsed: number;
  amps: number;
  volts: number;
  /** Set at the supply. */
  setVolts: number;
  setAmps: number;
  /** Ampere-hours taken from a battery. */
  usedAh: number;
  /** J: from the supply, into what was made, into the air, into warmth. */
  energy: { supplied: number; chemical: number; lost: number; stored: number };
}

/** A cell before its current is on. */
export function beginning(
  setup: CellSetup,
  { anolyte, catholyte, anodeMol }: { anolyte: Amounts; catholyte: Amounts | null; anodeMol: number | null },
): CellState {
  const state: CellState = {
    a: [...anolyte],
    k: catholyte ? [...catholyte] : nothing(),
    gas: nothing(),
    anodeMol,
    wornMol: 0,
    seconds: 0,
    coulombs: 0,
    tempC: setup.airC,
    evaporatedG: 0,
    wallMol: 0,
    dividerUsed: 0,
    amps: 0,
    volts: 0,
    setVolts: setup.gear.supply.volts * (setup.gear.supply.inSeries ?? 1),
    setAmps: setup.gear.supply.amps,
    usedAh: 0,
    energy: { supplied: 0, chemical: 0, lost: 0, stored: 0 },
  };
  settle(state.a);
  settle(state.k);
  gasLeaves(state);
  return state;
}

/** V that each part of a cell takes. */
export interface Drops {
  readonly anode: number;
  readonly anolyte: number;
  readonly wall: number;
  readonly catholyte: number;
  readonly cathode: number;
  readonly leads: number;
}

/** What holds for a stride: concentrations, current, what it does. */
export interface Rates {
  readonly ca: Amounts;
  readonly ck: Amounts;
  readonly t: Amounts;
  anodic: Shares;
  cathodic: Shares;
  amps: number;
  volts: number;
  drops: Drops;
  pHa: number;
  pHk: number;
  /** mS/cm. */
  kappaA: number;
  kappaK: number;
}

const freshRates = (): Rates => ({
  ca: nothing(),
  ck: nothing(),
  t: nothing(),
  anodic: {},
  cathodic: {},
  amps: 0,
  volts: 0,
  drops: { anode: 0, anolyte: 0, wall: 0, catholyte: 0, cathode: 0, leads: 0 },
  pHa: 7,
  pHk: 7,
  kappaA: 0,
  kappaK: 0,
});

/** Ω of a mm² of copper, for each m. */
const COPPER_OHM = 0.0172;
/** Ω of two clips. */
const CLIPS = 0.02;
/** How much a divider’s resistance grows for each mmol/cm² of hydroxide in its pores. Grade C, within a factor of three. */
const CLOGS = 10;
/** A strap is eaten first at the surface: it parts when so much of what is under the liquid has gone. */
export const PARTS_AT = 0.8;
/** Less current than this is none, A. */
const LEAST = 1e-5;

const dividers = new Map<DividerKind, Divider | null>();
function dividerOfKind(kind: DividerKind): Divider | null {
  if (!dividers.has(kind)) dividers.set(kind, dividerFor(kind));
  return dividers.get(kind) ?? null;
}

export const isDivided = ({ divider }: CellSetup): boolean => divider !== 'none';

/** Ω of what lies between the electrodes. */
function resistances(setup: CellSetup, state: CellState, rates: Rates): { a: number; wall: number; k: number; leads: number } {
  const { gear } = setup;
  const leads = (COPPER_OHM * gear.leadM) / gear.leadMm2 + CLIPS;
  const kA = rates.kappaA / 1000;
  if (!isDivided(setup)) {
    const r = kA > 0 ? (2 * gear.gapCm) / (kA * Math.sqrt(gear.anodeCm2 * gear.cathodeCm2)) : Number.POSITIVE_INFINITY;
    return { a: r, wall: 0, k: 0, leads };
  }
  const kK = rates.kappaK / 1000;
  const divider = dividerOfKind(setup.divider)!;
  const mean = (2 * kA * kK) / Math.max(1e-12, kA + kK);
  const clogged = 1 + (CLOGS * 1000 * state.wallMol) / gear.dividerCm2;
  const layer =
    divider.ohmCm2 === null
      ? ((gear.dividerMm / 10) * divider.times!.value) / Math.max(1e-9, mean)
      : divider.ohmCm2;
  return {
    a: kA > 0 ? gear.gapCm / (kA * gear.anodeCm2) : Number.POSITIVE_INFINITY,
    wall: (setup.wall * clogged * layer) / gear.dividerCm2,
    k: kK > 0 ? gear.gapCm / (kK * gear.cathodeCm2) : Number.POSITIVE_INFINITY,
    leads,
  };
}

/** V of an electrode’s reactions before the liquid, each by its share. */
function anodeVolts(setup: CellSetup, rates: Rates, mA: number): number {
  let sum = 0;
  for (const half of ANODIC) {
    const share = rates.anodic[half];
    if (share !== undefined && share > 0) sum += share * anodePotential(half, setup, rates, mA);
  }
  return sum;
}

const ANODIC = ['oxygen', 'copper', 'zinc', 'iron', 'chlorine', 'carbon'] as const satisfies readonly Half[];
const CATHODIC = ['hydrogen', 'copper plates', 'zinc plates'] as const satisfies readonly Half[];

const metalVolts = (volts: number, molPerL: number) => volts + 0.0296 * Math.log10(Math.max(1e-5, molPerL));
/** V that a metal takes to dissolve or to be plated, at 20 mA/cm². */
const METAL_OVER = 0.06;

function anodePotential(half: Half, { anode }: CellSetup, { ca, pHa }: Rates, mA: number): number {
  switch (half) {
    case 'copper':
      return metalVolts(0.342, ca[at['Cu2+']]!) + (METAL_OVER * mA) / 20;
    case 'zinc':
      return metalVolts(-0.762, ca[at['Zn2+']]!) + (METAL_OVER * mA) / 20;
    case 'iron':
      return metalVolts(-0.447, ca[at['Fe2+']]!) + (METAL_OVER * mA) / 20;
    case 'chlorine':
      return 1.358 - 0.059 * Math.log10(Math.max(1e-3, ca[at['Cl-']]!)) + overAt(0.15, mA);
    default:
      return 1.229 - 0.0592 * pHa + overAt(oxygenOver(anode), mA);
  }
}

function cathodeVolts(setup: CellSetup, { cathodic, ck, pHk }: Rates, mA: number): number {
  let sum = 0;
  for (const half of CATHODIC) {
    const share = cathodic[half];
    if (share === undefined || !(share > 0)) continue;
    if (half === 'copper plates') sum += share * (metalVolts(0.342, ck[at['Cu2+']]!) - (METAL_OVER * mA) / 20);
    else if (half === 'zinc plates') sum += share * (metalVolts(-0.762, ck[at['Zn2+']]!) - (METAL_OVER * mA) / 20);
    else sum += share * (-0.0592 * pHk - overAt(hydrogenOver(setup.cathode), mA));
  }
  return sum;
}

/** V and A that a supply gives at most now; none when a battery is flat or the current alternates. */
export function supplyGives({ gear: { supply } }: CellSetup, state: CellState): { readonly volts: number; readonly amps: number } {
  if (supply.kind === 'alternating') return { volts: 0, amps: 0 };
  if (supply.kind !== 'battery') return { volts: state.setVolts, amps: state.setAmps };
  const used = supply.ampHours === undefined ? 0 : state.usedAh / supply.ampHours;
  // An alkaline cell falls from 1.04 to 0.6 of its voltage as it is used up.
  return used >= 1 ? { volts: 0, amps: 0 } : { volts: state.setVolts * (1.04 - 0.44 * used), amps: state.setAmps };
}

/** Takes stock of a cell: what it conducts, what flows, what that does. */
export function takeStock(setup: CellSetup, state: CellState, rates: Rates = freshRates()): Rates {
  const divided = isDivided(setup);
  const { gear } = setup;
  concentrations(state.a, rates.ca);
  const k = divided ? state.k : state.a;
  if (divided) concentrations(state.k, rates.ck);
  else for (let i = 0; i < COUNT; i++) rates.ck[i] = rates.ca[i]!;
  rates.pHa = pHOf(rates.ca, state.a);
  rates.pHk = divided ? pHOf(rates.ck, k) : rates.pHa;
  rates.kappaA = conductivityAt(rates.ca, state.tempC);
  rates.kappaK = divided ? conductivityAt(rates.ck, state.tempC) : rates.kappaA;
  const ohm = resistances(setup, state, rates);
  const R = ohm.a + ohm.wall + ohm.k + ohm.leads;
  const { volts: most, amps: limit } = supplyGives(setup, state);
  let amps = state.amps > LEAST ? state.amps : Math.min(limit, 0.1);
  const anode0 = anodeParted(setup, state);
  if (anode0 || !(most > 0) || !Number.isFinite(R)) amps = 0;
  rates.anodic = anodeShares(setup.anode, rates.ca, setup.anodeGives);
  const voltsAt = (I: number): number => {
    const mA = (1000 * I) / gear.anodeCm2;
    const mK = (1000 * I) / gear.cathodeCm2;
    rates.cathodic = cathodeShares(rates.ck, {
      mAPerCm2: mK,
      best: setup.cathodeGives,
      stirred: setup.stirred,
      gas: rates.cathodic.hydrogen ?? 0,
    });
    return anodeVolts(setup, rates, mA) - cathodeVolts(setup, rates, mK);
  };
  if (amps > 0) amps = solvedCurrent(voltsAt, { R, most, limit, from: amps });
  const E = amps > 0 ? voltsAt(amps) : 0;
  rates.amps = amps;
  rates.volts = amps > 0 ? E + amps * R : most;
  const mA = (1000 * amps) / gear.anodeCm2;
  const mK = (1000 * amps) / gear.cathodeCm2;
  rates.drops = {
    anode: amps > 0 ? anodeVolts(setup, rates, mA) : 0,
    cathode: amps > 0 ? -cathodeVolts(setup, rates, mK) : 0,
    anolyte: amps * ohm.a,
    wall: amps * ohm.wall,
    catholyte: amps * ohm.k,
    leads: amps * ohm.leads,
  };
  if (amps <= 0)
    rates.drops = { anode: 0, cathode: 0, anolyte: 0, wall: 0, catholyte: 0, leads: 0 };
  if (divided) {
    const divider = dividerOfKind(setup.divider)!;
    shares(rates.ca, rates.ck, rates.t, { hydroxide: setup.hydroxide, anions: 1 - divider.holdsAnions });
  }
  return rates;
}

/** A at which the cell takes what the supply gives, or its limit. */
function solvedCurrent(
  voltsAt: (I: number) => number,
  { R, most, limit, from }: { R: number; most: number; limit: number; from: number },
): number {
  if (voltsAt(limit) + limit * R <= most) return limit;
  let I = Math.min(from, limit);
  for (let turn = 0; turn < 12; turn++) {
    const f = voltsAt(I) + I * R - most;
    if (Math.abs(f) < 1e-4) break;
    const slope = R + 0.11 / I;
    I = Math.min(limit, Math.max(I / 4, I - f / slope));
    if (I < LEAST) return 0;
  }
  return I;
}

/** A strap that is eaten through at the surface carries nothing more. */
export function anodeParted(setup: CellSetup, { anodeMol, wornMol }: CellState): boolean {
  if (!dissolves(setup.anode) || anodeMol === null) return false;
  return wornMol >= PARTS_AT * (anodeMol + wornMol) || anodeMol <= 1e-9;
}

const WATER_M = masses[at.H2O]!;
/** cm²/s of a salt in water. */
const DIFFUSES = 1.2e-5;
/** J/(g K) of a salt solution, and of the vessel, J/K. */
const HEAT_PER_G = 3.9;
const VESSEL_J_PER_K = 120;
const CARRIED_G_PER_AH = constantOf('mist and gas carry-over at 1 A').value;
const SECONDS_PER_H = 3600;
const gasPlaces = speciesNames.filter((name) => isA(name, 'gas')).map((name) => at[name]);

/** Lets a stride pass at the rates that were found; answers how long it was, s. */
export function pass(setup: CellSetup, state: CellState, rates: Rates, most: number): number {
  const divided = isDivided(setup);
  const dt = strideFor(setup, state, rates, most);
  const k = divided ? state.k : state.a;
  const before = enthalpyOf(state);
  const q = (rates.amps * dt) / FARADAY;
  if (q > 0) {
    for (const half of ANODIC) act(state, state.a, half, (rates.anodic[half] ?? 0) * q);
    for (const half of CATHODIC) act(state, k, half, (rates.cathodic[half] ?? 0) * q);
    if (divided) migrate(state, rates.t, q);
  }
  if (divided) diffuse(setup, state, rates, dt);
  settle(state.a);
  if (divided) {
    const blue = state.k[at['Cu(OH)2']]!;
    settle(state.k);
    // Copper that comes through the wall meets alkali in its pores.
    state.wallMol += Math.max(0, state.k[at['Cu(OH)2']]! - blue);
  }
  gasLeaves(state);
  const supplied = rates.amps * rates.volts * dt;
  const chemical = 1000 * (enthalpyOf(state) - before);
  warm(setup, state, dt, { supplied, chemical });
  evaporate(setup, state, rates.amps, dt);
  age(setup, state, rates, dt);
  state.seconds += dt;
  state.coulombs += rates.amps * dt;
  state.usedAh += (rates.amps * dt) / SECONDS_PER_H;
  state.amps = rates.amps;
  state.volts = rates.volts;
  return dt;
}

/** No stride takes more than a part of what it draws on. */
function strideFor(setup: CellSetup, state: CellState, rates: Rates, most: number): number {
  let dt = most;
  if (!(rates.amps > 0)) return dt;
  const perS = rates.amps / FARADAY;
  const holds = (mol: number, rate: number) => {
    if (mol > 1e-7 && rate > 0) dt = Math.min(dt, Math.max(0.5, (0.15 * mol) / rate));
  };
  const plates = rates.cathodic['copper plates'] ?? 0;
  holds((isDivided(setup) ? state.k : state.a)[at['Cu2+']]!, (plates * perS) / 2);
  if (!isDivided(setup)) return dt;
  for (const i of cationPlaces) holds(state.a[i]!, (rates.t[i]! * perS) / charges[i]!);
  for (const i of anionPlaces) holds(state.k[i]!, (-rates.t[i]! * perS) / charges[i]!);
  return dt;
}

/** A reaction of an electrode, for so many mol of electrons. */
function act(state: CellState, n: Amounts, half: Half, q: number): void {
  if (!(q > 0)) return;
  const anodic = half === 'copper' || half === 'zinc' || half === 'iron' || half === 'carbon';
  for (const [i, nu] of HALVES[half].by) {
    if (anodic && isMetal(i)) {
      state.wornMol -= nu * q;
      if (state.anodeMol !== null) state.anodeMol = Math.max(0, state.anodeMol + nu * q);
    } else n[i]! += nu * q;
  }
}

const metals = new Set(speciesNames.filter((name) => isA(name, 'metal')).map((name) => at[name]));
const isMetal = (i: number): boolean => metals.has(i);

function migrate(state: CellState, t: Amounts, q: number): void {
  for (const i of cationPlaces) {
    const moved = Math.min(state.a[i]!, (t[i]! * q) / charges[i]!);
    state.a[i]! -= moved;
    state.k[i]! += moved;
  }
  for (const i of anionPlaces) {
    const moved = Math.min(state.k[i]!, (-t[i]! * q) / charges[i]!);
    state.k[i]! -= moved;
    state.a[i]! += moved;
  }
}

/** Salt goes from the stronger side to the weaker, through the divider’s pores. */
function diffuse(setup: CellSetup, state: CellState, { ca, ck }: Rates, dt: number): void {
  const divider = dividerOfKind(setup.divider)!;
  const times = divider.times?.value ?? 30;
  const litresPerS = (DIFFUSES / times) * (setup.gear.dividerCm2 / (setup.gear.dividerMm / 10)) * 1e-3;
  const least = Math.min(volumeMl(state.a), volumeMl(state.k)) / 1000;
  const litres = Math.min(litresPerS * dt, 0.2 * least);
  for (const i of cationPlaces) exchange(state, i, litres * (ca[i]! - ck[i]!));
  for (const i of anionPlaces) exchange(state, i, litres * (ca[i]! - ck[i]!));
}

function exchange(state: CellState, i: number, mol: number): void {
  state.a[i]! -= mol;
  state.k[i]! += mol;
}

function gasLeaves(state: CellState): void {
  for (const i of gasPlaces) {
    state.gas[i]! += state.a[i]! + state.k[i]!;
    state.a[i] = 0;
    state.k[i] = 0;
  }
}

/** kJ of everything there, against the elements, of which the anode’s metal is one. What evaporates goes as water. */
export function enthalpyOf({ a, k, gas, evaporatedG }: CellState): number {
  let sum = (enthalpies[at.H2O]! * evaporatedG) / WATER_M;
  for (let i = 0; i < COUNT; i++) sum += enthalpies[i]! * (a[i]! + k[i]! + gas[i]!);
  return sum;
}

function warm(
  { airC }: CellSetup,
  state: CellState,
  dt: number,
  { supplied, chemical }: { supplied: number; chemical: number },
): void {
  const grams = massG(state.a) + massG(state.k);
  const capacity = HEAT_PER_G * grams + VESSEL_J_PER_K;
  const perK = lossWPerK(volumeMl(state.a) + volumeMl(state.k));
  const made = supplied - chemical;
  // Towards its end by the exponential: a long stride overshoots nothing.
  const end = airC + made / dt / perK;
  const next = end + (state.tempC - end) * Math.exp((-perK * dt) / capacity);
  const stored = capacity * (next - state.tempC);
  state.tempC = next;
  state.energy.supplied += supplied;
  state.energy.chemical += chemical;
  state.energy.stored += stored;
  state.energy.lost += made - stored;
}

function evaporate({ gear }: CellSetup, state: CellState, amps: number, dt: number): void {
  const perS = (evaporatesKgPerM2H(state.tempC) * gear.openCm2) / 1e4 / 3.6 + (CARRIED_G_PER_AH * amps) / SECONDS_PER_H;
  const water = state.a[at.H2O]! + state.k[at.H2O]!;
  const gone = Math.min(perS * dt, 0.02 * water * WATER_M);
  if (!(water > 0)) return;
  for (const n of [state.a, state.k]) n[at.H2O]! -= (gone / WATER_M) * (n[at.H2O]! / water);
  state.evaporatedG += gone;
}

function age(setup: CellSetup, state: CellState, { ca, ck }: Rates, dt: number): void {
  const divider = dividerOfKind(setup.divider);
  if (!divider) return;
  const warmer = 2 ** ((state.tempC - 25) / 10);
  const hours = dt / SECONDS_PER_H;
  if (divider.alkaliH) state.dividerUsed += (hours * warmer * ck[at['OH-']]!) / divider.alkaliH.value;
  if (divider.acidH) state.dividerUsed += (hours * warmer * ca[at['H+']]!) / divider.acidH.value;
}

/** Puts something into a side while it runs. */
export function addTo(setup: CellSetup, state: CellState, side: 'anode' | 'cathode', what: Amounts): void {
  const n = side === 'cathode' && isDivided(setup) ? state.k : state.a;
  for (let i = 0; i < COUNT; i++) n[i]! += what[i]!;
  settle(n);
  gasLeaves(state);
}

/** mol of a species in both liquids. */
export function molOf({ a, k }: CellState, name: SpeciesName): number {
  return a[at[name]]! + k[at[name]]!;
}
