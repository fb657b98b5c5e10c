import { must } from '#base/lookup';
import { potentials } from '#matter/data';
import type { DividerKind } from '#matter/gear';
import { type CellSetup, type CellState, isDivided } from './cell.ts';
import { conductivityAt } from './conductivity.ts';
import { type Divider, dividerFor } from './divider.ts';
import {
  anodeShares,
  cathodeShares,
  dissolves,
  type Half,
  hydrogenOver,
  overAt,
  oxygenOver,
  type Shares,
} from './electrodes.ts';
import { type Amounts, concentrations, nothing } from './liquid.ts';
import { pHOf } from './settle.ts';
import { at, places } from './species.ts';
import { shares } from './transport.ts';

// What holds for a stride of a cell: how it conducts, what its reactions take, what flows, and what that does.

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

/** cm² and mm of what divides: a wall, or a plug of gel. */
export function layerOf({ divider, gear }: CellSetup): { readonly cm2: number; readonly mm: number } {
  return divider === 'agar gel' || divider === 'gelatin gel'
    ? { cm2: gear.plugCm2, mm: gear.plugMm }
    : { cm2: gear.dividerCm2, mm: gear.dividerMm };
}

const dividers = new Map<DividerKind, Divider | null>();
export function dividerOfKind(kind: DividerKind): Divider | null {
  if (!dividers.has(kind)) dividers.set(kind, dividerFor(kind));
  return dividers.get(kind) ?? null;
}

/** Ω of what lies between the electrodes. */
function resistances(
  setup: CellSetup,
  state: CellState,
  rates: Rates,
): { a: number; wall: number; k: number; leads: number } {
  const { gear } = setup;
  const leads = (COPPER_OHM * gear.leadM) / gear.leadMm2 + CLIPS;
  const kA = rates.kappaA / 1000;
  if (!isDivided(setup)) {
    const r = kA > 0 ? (2 * gear.gapCm) / (kA * Math.sqrt(gear.anodeCm2 * gear.cathodeCm2)) : Number.POSITIVE_INFINITY;
    return { a: r, wall: 0, k: 0, leads };
  }
  const kK = rates.kappaK / 1000;
  const divider = must(dividerOfKind(setup.divider), 'divider');
  const mean = (2 * kA * kK) / Math.max(1e-12, kA + kK);
  const { cm2, mm } = layerOf(setup);
  const clogged = 1 + (CLOGS * 1000 * state.wallMol) / cm2;
  const layer =
    divider.ohmCm2 === null
      ? ((mm / 10) * must(divider.times, 'times a divider is longer').value) / Math.max(1e-9, mean)
      : divider.ohmCm2;
  return {
    a: kA > 0 ? gear.gapCm / (kA * gear.anodeCm2) : Number.POSITIVE_INFINITY,
    wall: (setup.wall * clogged * layer) / cm2,
    k: kK > 0 ? gear.gapCm / (kK * gear.cathodeCm2) : Number.POSITIVE_INFINITY,
    leads,
  };
}

/** V of an electrode’s reactions before the liquid, each by its share. */
function anodeVolts(setup: CellSetup, rates: Rates, mA: number): number {
  let sum = 0;
  for (const half of ANODIC) {
    const share = rates.anodic[half];
    if (share !== undefined && share > 0)
      sum += share * anodePotential(half, setup, { ca: rates.ca, pHa: rates.pHa, mA });
  }
  return sum;
}

export const ANODIC = ['oxygen', 'copper', 'zinc', 'iron', 'chlorine', 'carbon'] as const satisfies readonly Half[];
export const CATHODIC = ['hydrogen', 'copper plates', 'zinc plates'] as const satisfies readonly Half[];

/** V against hydrogen, 25 °C. */
const standard = (id: string): number => {
  const row = potentials.find((each) => each.id === id);
  if (!row) throw new Error(`no potential ${id}`);
  return row.volts;
};
const VOLTS = {
  copper: standard('Cu2/Cu'),
  zinc: standard('Zn/Zn'),
  iron: standard('Fe2/Fe'),
  chlorine: standard('Cl2/Cl'),
  oxygen: standard('O2/H2O'),
};
/** RT ln 10 ÷ F at 25 °C, V. */
const NERNST = 0.05916;

/** What stands before an anode, and its mA/cm². */
interface Before {
  readonly ca: Amounts;
  readonly pHa: number;
  readonly mA: number;
}

const metalVolts = (volts: number, molPerL: number) => volts + (NERNST / 2) * Math.log10(Math.max(1e-5, molPerL));
/** V that a metal takes to dissolve or to be plated, at 20 mA/cm². */
const METAL_OVER = 0.06;

function anodePotential(half: Half, { anode }: CellSetup, { ca, pHa, mA }: Before): number {
  switch (half) {
    case 'copper':
      return metalVolts(VOLTS.copper, ca[at['Cu2+']]) + (METAL_OVER * mA) / 20;
    case 'zinc':
      return metalVolts(VOLTS.zinc, ca[at['Zn2+']]) + (METAL_OVER * mA) / 20;
    case 'iron':
      return metalVolts(VOLTS.iron, ca[at['Fe2+']]) + (METAL_OVER * mA) / 20;
    case 'chlorine':
      return VOLTS.chlorine - NERNST * Math.log10(Math.max(1e-3, ca[at['Cl-']])) + overAt(0.15, mA);
    default:
      return VOLTS.oxygen - NERNST * pHa + overAt(oxygenOver(anode), mA);
  }
}

function cathodeVolts(setup: CellSetup, { cathodic, ck, pHk }: Rates, mA: number): number {
  let sum = 0;
  for (const half of CATHODIC) {
    const share = cathodic[half];
    if (share === undefined || !(share > 0)) continue;
    if (half === 'copper plates') sum += share * (metalVolts(VOLTS.copper, ck[at['Cu2+']]) - (METAL_OVER * mA) / 20);
    else if (half === 'zinc plates') sum += share * (metalVolts(VOLTS.zinc, ck[at['Zn2+']]) - (METAL_OVER * mA) / 20);
    else sum += share * (-NERNST * pHk - overAt(hydrogenOver(setup.cathode), mA));
  }
  return sum;
}

/** V and A that a supply gives at most now; none when a battery is flat or the current alternates. */
export function supplyGives(
  { gear: { supply } }: CellSetup,
  state: CellState,
): { readonly volts: number; readonly amps: number } {
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
  else for (const i of places) rates.ck[i] = rates.ca[i];
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
  if (amps <= 0) rates.drops = { anode: 0, cathode: 0, anolyte: 0, wall: 0, catholyte: 0, leads: 0 };
  if (divided) {
    const divider = must(dividerOfKind(setup.divider), 'divider');
    shares(
      { anolyte: rates.ca, catholyte: rates.ck, t: rates.t },
      { hydroxide: setup.hydroxide, anions: 1 - divider.holdsAnions },
    );
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
