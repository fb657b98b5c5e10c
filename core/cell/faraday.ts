import { datum, derive, type Figure, given } from '#core/figure';
import { molarMassFigure } from '#core/substance';

/** Electrons per formula unit at the electrode, for what is usually plated or set free from water. */
const ELECTRONS: Readonly<Record<string, number>> = {
  Cu: 2,
  Zn: 2,
  Ag: 1,
  Ni: 2,
  Fe: 2,
  Sn: 2,
  Pb: 2,
  Co: 2,
  Cd: 2,
  Mg: 2,
  Al: 3,
  Cr: 3,
  Au: 3,
  H2: 2,
  O2: 4,
  Cl2: 2,
  Br2: 2,
  I2: 2,
  NaOH: 1,
  KOH: 1,
};

/** Faraday constant, C/mol; CODATA 2018, exact. */
const F = datum({ symbol: 'F', name: 'Faraday constant', unit: 'C/mol' }, 96485.33212, {
  source: 'CODATA 2018, exact',
  grade: 'A',
});

export function electronsFor(formula: string): number | undefined {
  return ELECTRONS[formula];
}

export interface Current {
  readonly amperes: Figure;
  /** Current efficiency, %. */
  readonly efficiency: Figure;
}

/** Moles and grams from a current held for so long. */
export function depositFromCharge(
  formula: string,
  electrons: number,
  { amperes, efficiency }: Current,
  hours: Figure,
): { amount: Figure; mass: Figure } {
  const z = given({ symbol: 'z', name: `electrons for one ${formula}`, unit: '' }, electrons, 'its electrode reaction');
  const amount = derive(
    { symbol: 'n', name: `${formula}, amount`, unit: 'mol' },
    '3600 × I × t × η ÷ (100 × z × F)',
    { I: amperes, t: hours, η: efficiency, z, F },
    (x) => (3600 * x.I * x.t * x.η) / (100 * x.z * x.F),
    { source: "Faraday's law", grade: 'A' },
  );
  const M = molarMassFigure(formula);
  return {
    amount,
    mass: derive({ symbol: 'm', name: formula, unit: 'g' }, 'n × M', { n: amount, M }, (x) => x.n * x.M),
  };
}

/** Hours that a current needs for so many grams. */
export function hoursForMass(
  formula: string,
  electrons: number,
  { amperes, efficiency }: Current,
  mass: Figure,
): Figure {
  const z = given({ symbol: 'z', name: `electrons for one ${formula}`, unit: '' }, electrons, 'its electrode reaction');
  const M = molarMassFigure(formula);
  return derive(
    { symbol: 't', name: 'time', unit: 'h' },
    '100 × m × z × F ÷ (3600 × M × I × η)',
    { m: mass, z, F, M, I: amperes, η: efficiency },
    (x) => (100 * x.m * x.z * x.F) / (3600 * x.M * x.I * x.η),
    { source: "Faraday's law", grade: 'A' },
  );
}
