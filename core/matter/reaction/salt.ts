import { allSubstances, describedId, type SubstanceId } from '#matter/substance';

interface Ion {
  readonly name: string;
  /** In brackets where it is more than one atom and may stand more than once. */
  readonly formula: string;
  readonly charge: number;
}

const CATIONS: Readonly<Record<string, Ion>> = {
  'Na+': { name: 'sodium', formula: 'Na', charge: 1 },
  'K+': { name: 'potassium', formula: 'K', charge: 1 },
  'NH4+': { name: 'ammonium', formula: '(NH4)', charge: 1 },
  'Ca2+': { name: 'calcium', formula: 'Ca', charge: 2 },
  'Mg2+': { name: 'magnesium', formula: 'Mg', charge: 2 },
  'Zn2+': { name: 'zinc', formula: 'Zn', charge: 2 },
  'Cu2+': { name: 'copper', formula: 'Cu', charge: 2 },
  'Mn2+': { name: 'manganese', formula: 'Mn', charge: 2 },
  'Ni2+': { name: 'nickel', formula: 'Ni', charge: 2 },
  'Al3+': { name: 'aluminium', formula: 'Al', charge: 3 },
};

const ANIONS: Readonly<Record<string, Ion>> = {
  'Cl-': { name: 'chloride', formula: 'Cl', charge: 1 },
  'NO3-': { name: 'nitrate', formula: '(NO3)', charge: 1 },
  'SO4 2-': { name: 'sulfate', formula: '(SO4)', charge: 2 },
  'HPO4 2-': { name: 'hydrogenphosphate', formula: '(HPO4)', charge: 2 },
  'C2O4 2-': { name: 'oxalate', formula: '(C2O4)', charge: 2 },
  'Cit 3-': { name: 'citrate', formula: '(C6H5O7)', charge: 3 },
  'Tar 2-': { name: 'tartrate', formula: '(C4H4O6)', charge: 2 },
  'Mal 2-': { name: 'malate', formula: '(C4H4O5)', charge: 2 },
  'HCOO-': { name: 'formate', formula: '(HCOO)', charge: 1 },
  'CH3COO-': { name: 'acetate', formula: '(CH3COO)', charge: 1 },
  'Lac-': { name: 'lactate', formula: '(C3H5O3)', charge: 1 },
  'Glyc-': { name: 'glycolate', formula: '(C2H3O3)', charge: 1 },
  'Gluc-': { name: 'gluconate', formula: '(C6H11O7)', charge: 1 },
  'HAsc-': { name: 'ascorbate', formula: '(C6H7O6)', charge: 1 },
  'Adip 2-': { name: 'adipate', formula: '(C6H8O4)', charge: 2 },
  'NH2SO3-': { name: 'sulfamate', formula: '(NH2SO3)', charge: 1 },
  'C6H5COO-': { name: 'benzoate', formula: '(C7H5O2)', charge: 1 },
  'HSal-': { name: 'salicylate', formula: '(C7H5O3)', charge: 1 },
};

/** H+ that an acid gives for each of an anion; 1 of one that is not known here. */
export const chargeOfAnion = (ion: string): number => ANIONS[ion]?.charge ?? 1;

export interface Salt {
  readonly id: SubstanceId;
  /** How many of the cation are in its formula. */
  readonly cations: number;
}

/** The salt of two ions: of the record, else by its formula alone; undefined where an ion is not known. */
export function saltFrom(cation: string, anion: string): Salt | undefined {
  for (const { id, species, ions } of allSubstances) {
    const own = id === species && ions?.length === 2 ? ions.find(([ion]) => ion === cation) : undefined;
    if (own && ions?.some(([ion]) => ion === anion)) return { id, cations: own[1] };
  }
  const [plus, minus] = [CATIONS[cation], ANIONS[anion]];
  if (!plus || !minus) return undefined;
  const common = plus.charge === minus.charge ? plus.charge : 1;
  const [n, m] = [minus.charge / common, plus.charge / common];
  const nothing = { gPerMl: null, gPer100gWater: null, meltsC: null, hazards: '' };
  const formula = `${times(plus.formula, n)}${times(minus.formula, m)}`;
  return { id: describedId({ name: `${plus.name} ${minus.name}`, formula, form: 'solid', ...nothing }), cations: n };
}

/** “Ca3(C6H5O7)2”, and without brackets around what stands once. */
function times(formula: string, n: number): string {
  return n === 1 ? formula.replace(/^\((.*)\)$/, '$1') : `${formula}${n}`;
}
