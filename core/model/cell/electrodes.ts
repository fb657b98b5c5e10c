import type { AnodeMaterial, CathodeMaterial } from '#matter/gear';
import { type Amounts, concentrations } from './liquid.ts';
import { constantOf, efficiencyOf, type Ranged } from './published.ts';
import { at, masses } from './species.ts';

// Which reaction wins at an electrode, each for one mol of electrons, by what the electrode is and what stands before it.

/** What an electrode can do, and the change it makes for one mol of electrons. */
export const HALVES = {
  oxygen: {
    text: '2 H2O → O2 + 4 H+ + 4 e−',
    by: [
      [at.H2O, -0.5],
      [at.O2, 0.25],
      [at['H+'], 1],
    ],
  },
  copper: {
    text: 'Cu → Cu2+ + 2 e−',
    by: [
      [at.Cu, -0.5],
      [at['Cu2+'], 0.5],
    ],
  },
  zinc: {
    text: 'Zn → Zn2+ + 2 e−',
    by: [
      [at.Zn, -0.5],
      [at['Zn2+'], 0.5],
    ],
  },
  iron: {
    text: 'Fe → Fe2+ + 2 e−',
    by: [
      [at.Fe, -0.5],
      [at['Fe2+'], 0.5],
    ],
  },
  chlorine: {
    text: '2 Cl− → Cl2 + 2 e−',
    by: [
      [at['Cl-'], -1],
      [at.Cl2, 0.5],
    ],
  },
  carbon: {
    text: 'C + 2 H2O → CO2 + 4 H+ + 4 e−',
    by: [
      [at.C, -0.25],
      [at.H2O, -0.5],
      [at.CO2, 0.25],
      [at['H+'], 1],
    ],
  },
  hydrogen: {
    text: '2 H2O + 2 e− → H2 + 2 OH−',
    by: [
      [at.H2O, -1],
      [at.H2, 0.5],
      [at['OH-'], 1],
    ],
  },
  'copper plates': {
    text: 'Cu2+ + 2 e− → Cu',
    by: [
      [at['Cu2+'], -0.5],
      [at.Cu, 0.5],
    ],
  },
  'zinc plates': {
    text: 'Zn2+ + 2 e− → Zn',
    by: [
      [at['Zn2+'], -0.5],
      [at.Zn, 0.5],
    ],
  },
} as const satisfies Readonly<Record<string, { text: string; by: readonly (readonly [number, number])[] }>>;
export type Half = keyof typeof HALVES;

/** Shares of the current, by what it does. */
export type Shares = Readonly<Partial<Record<Half, number>>>;

const DISSOLVING = { copper: 'copper', zinc: 'zinc', iron: 'iron' } as const;

/** The metal that an anode gives up by design; null for one that survives. */
export function dissolves(material: AnodeMaterial): keyof typeof DISSOLVING | null {
  return material in DISSOLVING ? (material as keyof typeof DISSOLVING) : null;
}

const SYMBOLS = { copper: 'Cu', zinc: 'Zn', iron: 'Fe' } as const;

/** g/mol of the metal that an anode gives up. */
export const metalMass = (metal: keyof typeof DISSOLVING): number => masses[at[SYMBOLS[metal]]] ?? 0;

/** Chloride of so many mol/L gives half chlorine, half oxygen. */
const HALF_CHLORIDE = 0.4;

/** Current efficiency of what an anode is to do, %, with the range it is found in. */
export function anodeEfficiency(
  material: AnodeMaterial,
  medium: 'acid' | 'neutral' | 'carbonate' | 'chloride',
): Ranged {
  switch (material) {
    case 'copper':
      return efficiencyOf(
        medium === 'acid'
          ? 'copper anode in acid or magnesium sulfate, below 30 mA/cm2'
          : 'copper anode in neutral sulfate, divided, pH above 5',
      );
    case 'zinc':
    case 'iron':
      return efficiencyOf('iron anode in sulfate or chloride');
    case 'carbon':
      return efficiencyOf(medium === 'carbonate' ? 'graphite anode in bicarbonate' : 'graphite anode in sulfate');
    case 'lead dioxide':
      return efficiencyOf('PbO2 anode in sulfate');
    case 'nickel':
    case 'stainless steel':
      return efficiencyOf('nickel anode in carbonate or alkali');
    case 'platinum':
    case 'mixed oxide':
      return efficiencyOf('inert anode in sulfate (Pt, MMO-Ir)');
  }
}

/** What the anode does before a liquid of so many mol/L. `gives` is the share that goes where it should, 0 to 1. */
export function anodeShares(material: AnodeMaterial, c: Amounts, gives: number): Shares {
  const metal = dissolves(material);
  // More than all of it is metal that air dissolves besides: it carries no current.
  if (metal) return { [metal]: Math.min(1, gives), oxygen: Math.max(0, 1 - gives) };
  const chloride = c[at['Cl-']];
  const chlorine = chloride > 1e-6 ? (0.97 * chloride) / (chloride + HALF_CHLORIDE) : 0;
  const rest = 1 - chlorine;
  const burns = material === 'carbon' ? rest * (1 - gives) : 0;
  return { chlorine, oxygen: rest - burns, carbon: burns };
}

const STILL = constantOf('limiting current, copper, unstirred, per 0.1 mol/L').value;
const BUBBLED = constantOf('limiting current with gas bubbling on the plate').value;
const STIRRED = constantOf('limiting current, copper, stirred, per 0.1 mol/L').value;

/** mA/cm² that a metal can be plated with at most before a liquid of so many mol/L: what diffuses to the plate. */
export function limitingCurrent(molPerL: number, { stirred, gas }: { stirred: boolean; gas: number }): number {
  const still = STILL + (BUBBLED - STILL) * Math.min(1, gas);
  return (stirred ? Math.max(STIRRED, still) : still) * (molPerL / 0.1);
}

/** What the cathode does: copper first, as fast as it comes to the plate, then zinc, the rest hydrogen. */
export function cathodeShares(
  c: Amounts,
  { mAPerCm2, best, stirred, gas }: { mAPerCm2: number; best: number; stirred: boolean; gas: number },
): Shares {
  const copper = c[at['Cu2+']];
  if (copper > 1e-9) {
    const plates = Math.min(best, limitingCurrent(copper, { stirred, gas }) / Math.max(1e-6, mAPerCm2));
    return { 'copper plates': plates, hydrogen: 1 - plates };
  }
  const zinc = c[at['Zn2+']];
  if (zinc > 1e-9) {
    const plates = Math.min(0.9, limitingCurrent(zinc, { stirred, gas }) / Math.max(1e-6, mAPerCm2));
    return { 'zinc plates': plates, hydrogen: 1 - plates };
  }
  return { hydrogen: 1 };
}

/** V for each tenfold current. */
const TAFEL = 0.12;

const HYDROGEN: Readonly<Record<CathodeMaterial, string>> = {
  copper: 'overvoltage hydrogen, copper or graphite, 20 mA/cm2',
  carbon: 'overvoltage hydrogen, copper or graphite, 20 mA/cm2',
  titanium: 'overvoltage hydrogen, copper or graphite, 20 mA/cm2',
  steel: 'overvoltage hydrogen, steel, alkali',
  'stainless steel': 'overvoltage hydrogen, steel, alkali',
  nickel: 'overvoltage hydrogen, nickel, alkali',
  platinum: 'overvoltage hydrogen, platinum',
};
const OXYGEN: Readonly<Partial<Record<AnodeMaterial, string>>> = {
  platinum: 'overvoltage oxygen, platinum',
  carbon: 'overvoltage oxygen, graphite',
  'lead dioxide': 'overvoltage oxygen, PbO2',
  'mixed oxide': 'overvoltage oxygen, MMO-Ir',
  nickel: 'overvoltage oxygen, nickel, alkali',
  'stainless steel': 'overvoltage oxygen, nickel, alkali',
};

const overs = new Map<string, number>();
/** V of overvoltage at 20 mA/cm², looked up once. */
function overOf(id: string): number {
  const had = overs.get(id);
  if (had !== undefined) return had;
  const { value } = constantOf(id);
  overs.set(id, value);
  return value;
}

export const hydrogenOver = (material: CathodeMaterial): number => overOf(HYDROGEN[material]);
export const oxygenOver = (material: AnodeMaterial): number =>
  overOf(OXYGEN[material] ?? 'overvoltage oxygen, platinum');

/** An overvoltage at a current: falls to nothing with it. */
export function overAt(at20: number, mAPerCm2: number): number {
  return Math.max(0.02, at20 + TAFEL * Math.log10(Math.max(1e-3, mAPerCm2) / 20));
}

/** What a liquid is to its anode. */
export function mediumOf(n: Amounts): 'acid' | 'neutral' | 'carbonate' | 'chloride' {
  const c = concentrations(n);
  if (c[at['HCO3-']] + c[at['CO3 2-']] > 0.02) return 'carbonate';
  if (c[at['Cl-']] > 0.1) return 'chloride';
  return c[at['H+']] > 0.02 ? 'acid' : 'neutral';
}

/** The best share of a current that plates. */
export const PLATES = 0.95;
