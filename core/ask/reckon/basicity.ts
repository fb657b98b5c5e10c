import { parseFormula } from '#matter/substance';

/** Protons one formula unit of an acid gives in full neutralisation. */
const GIVES: Readonly<Record<string, number>> = {
  HCl: 1,
  HNO3: 1,
  CH3COOH: 1,
  HCOOH: 1,
  HBr: 1,
  HI: 1,
  H3NSO3: 1,
  NaHSO4: 1,
  H2SO4: 2,
  H2C2O4: 2,
  'H2C2O4.2H2O': 2,
  C4H6O6: 2,
  H3PO4: 3,
  C6H8O7: 3,
  'C6H8O7.H2O': 3,
};

/** Charge of the metal in its oxide, hydroxide or carbonate, where acid takes the whole of it up. */
const CHARGES: Readonly<Record<string, readonly number[]>> = {
  Li: [1],
  Na: [1],
  K: [1],
  Mg: [2],
  Ca: [2],
  Sr: [2],
  Ba: [2],
  Zn: [2],
  Cu: [1, 2],
  Ni: [2],
  Co: [2],
  Mn: [2],
  Fe: [2, 3],
  Pb: [2],
  Sn: [2],
  Al: [3],
  Cr: [3],
  Bi: [3],
};

export interface Basicity {
  readonly is: 'acid' | 'base';
  /** Protons given or taken by one formula unit in full neutralisation. */
  readonly protons: number;
}

/** What a formula is to an acid or a base; undefined where that is not held. */
export function basicityOf(formula: string): Basicity | undefined {
  const given = GIVES[formula];
  if (given !== undefined) return { is: 'acid', protons: given };
  const taken = formula === 'NH3' ? 1 : takenBy(formula);
  return taken === undefined ? undefined : { is: 'base', protons: taken };
}

/**
 * Protons an oxide, hydroxide, carbonate or any basic mixture of them takes, hydrated or not. Counted as metal oxide, water
 * and carbon dioxide: what oxygen is left for the metal takes two each, and must agree with the metal's charge, which
 * keeps peroxides, higher oxides and organic salts out.
 */
function takenBy(formula: string): number | undefined {
  const read = parseFormula(formula);
  if (!read.ok || read.value.charge !== 0) return undefined;
  const { O = 0, H = 0, C = 0, ...metals } = read.value.elements;
  const [[metal, atoms] = ['', 0], ...others] = Object.entries(metals);
  const taken = 2 * (O - 2 * C - H / 2);
  if (others.length > 0 || taken <= 0) return undefined;
  // A bicarbonate has given one proton of its carbonic acid away and takes one; it is counted rightly as it stands.
  return CHARGES[metal]?.includes(taken / atoms) ? taken : undefined;
}
