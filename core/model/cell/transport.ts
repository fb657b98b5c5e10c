import { type Amounts, nothing } from './liquid.ts';
import {
  anionPlaces,
  at,
  cationPlaces,
  charges,
  mobilities,
  type Place,
  perSpecies,
  type SpeciesName,
} from './species.ts';

// Which ions carry the current through a divider: cations out of the anode side, anions out of the cathode side, each by its
// concentration there, its charge and its mobility.

/**
 * Mobilities fall with concentration, those of divalent cations most: their share of a sulfate goes from 0.40 in thin solution to
 * 0.30 at 1 mol/L. Fitted to published transport numbers, which it meets within 0.02. Grade C.
 */
const FALL: Readonly<Partial<Record<SpeciesName, number>>> = {
  'Cu2+': 0.36,
  'Zn2+': 0.36,
  'Mg2+': 0.36,
  'Fe2+': 0.36,
  'Na+': 0.1,
  'H+': -0.12,
};

const falls = perSpecies((_, name) => FALL[name] ?? 0);

/** Relative mobility of a cation at so many mol/L. */
function cationMobility(i: Place, c: number): number {
  return mobilities[i] * Math.max(0.4, 1 - falls[i] * Math.sqrt(Math.min(1.5, c)));
}

/** Share of the current that each ion carries in one liquid. Shares sum to 1; all 0 in water alone. */
export function transportNumbersOf(c: Amounts): readonly number[] {
  const t = nothing();
  shares({ anolyte: c, catholyte: c, t }, { hydroxide: 1, anions: 1 });
  return t;
}

/** How ions fare: part of hydroxide, of protons and of metals is taken up on its way; a membrane holds anions back. */
export interface Passing {
  readonly hydroxide: number;
  readonly anions: number;
}

/** What alkali on the other side takes up on its way. */
const METS_ALKALI = new Set([at['H+'], at['Cu2+'], at['Zn2+'], at['Fe2+']]);

/** Both liquids, and where the shares are written. */
interface Between {
  readonly anolyte: Amounts;
  readonly catholyte: Amounts;
  readonly t: Amounts;
}

/** Writes the share of each ion into `t`; answers the sum they are of, 0 where nothing carries. */
export function shares({ anolyte, catholyte, t }: Between, { hydroxide, anions }: Passing): number {
  let sum = 0;
  for (const i of cationPlaces) {
    const times = METS_ALKALI.has(i) ? hydroxide : 1;
    t[i] = times * charges[i] * anolyte[i] * cationMobility(i, anolyte[i]);
    sum += t[i];
  }
  for (const i of anionPlaces) {
    const times = i === at['OH-'] ? hydroxide : 1;
    t[i] = -anions * times * charges[i] * catholyte[i] * mobilities[i];
    sum += t[i];
  }
  if (!(sum > 0)) return 0;
  for (const i of cationPlaces) t[i] = t[i] / sum;
  for (const i of anionPlaces) t[i] = t[i] / sum;
  return sum;
}
