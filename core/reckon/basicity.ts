/** Protons given (acids) or taken (bases) by one formula unit in full neutralisation. */
const BASICITY: Readonly<Record<string, number>> = {
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
  NaOH: 1,
  KOH: 1,
  NH3: 1,
  NaHCO3: 1,
  KHCO3: 1,
  'Ca(OH)2': 2,
  Na2CO3: 2,
  'Na2CO3.10H2O': 2,
  'Na2CO3.H2O': 2,
  K2CO3: 2,
};

export function basicityOf(formula: string): number | undefined {
  return BASICITY[formula];
}
