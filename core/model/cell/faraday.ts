import { datum, derive, type Figure, given } from '#base/figure';
import { electrons } from '#matter/data';
import { molarMassFigure } from '#matter/substance';
import { FARADAY } from './charge-of-a-mole.ts';

/** Metals that are plated from their salts and have no row of their own. CRC Handbook, standard potentials. */
const PLATED: Readonly<Record<string, number>> = { Co: 2, Cd: 2, Mg: 2, Cr: 3, Au: 3 };

/** Faraday constant, C/mol; CODATA 2018, exact. */
const F = datum({ symbol: 'F', name: 'Faraday constant', unit: 'C/mol' }, FARADAY, {
  source: 'CODATA 2018, exact',
  grade: 'A',
});

/** Electrons per formula unit of what an electrode makes, or else uses up; undefined when no such electrode is held. */
export function electronsFor(formula: string): number | undefined {
  const rows = electrons.filter((row) => row.formula === formula && row.what !== 'equivalent');
  const row = rows.find(({ what }) => what === 'made') ?? rows[0];
  return row?.electrons ?? PLATED[formula];
}

export interface Current {
  readonly amperes: Figure;
  /** Current efficiency, %. */
  readonly efficiency: Figure;
}

/** A·h of a current held for so many hours. */
export function chargeOf(amperes: Figure, hours: Figure): Figure {
  return derive({ symbol: 'Q', name: 'charge', unit: 'A·h' }, 'I × t', { I: amperes, t: hours }, (x) => x.I * x.t);
}

/** Moles and grams from a charge, A·h, at a current efficiency, %. */
export function depositFromCharge(
  formula: string,
  electrons: number,
  { charge, efficiency }: { readonly charge: Figure; readonly efficiency: Figure },
): { amount: Figure; mass: Figure } {
  const z = given({ symbol: 'z', name: `electrons for one ${formula}`, unit: '' }, electrons, 'its electrode reaction');
  const amount = derive(
    { symbol: 'n', name: `${formula}, amount`, unit: 'mol' },
    '3600 × Q × η ÷ (100 × z × F)',
    { Q: charge, η: efficiency, z, F },
    (x) => (3600 * x.Q * x.η) / (100 * x.z * x.F),
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
