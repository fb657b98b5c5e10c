import { ionConductivities, thermochem } from '#matter/data';
import { molarMass } from '#matter/substance';

/** What a cell’s liquids hold and its electrodes turn into one another. */
interface Kind {
  readonly formula: string;
  readonly charge: number;
  /** Apparent molar volume in water, mL/mol; Millero, Chem. Rev. 71 (1971) 147. A solid or gas takes none. */
  readonly mlPerMol: number;
  /** Row of its formation enthalpy. */
  readonly heat: string;
  readonly is: 'water' | 'ion' | 'solid' | 'metal' | 'gas';
}

const ion = (formula: string, [charge, mlPerMol]: readonly [number, number], heat: string): Kind => ({
  formula,
  charge,
  mlPerMol,
  heat,
  is: 'ion',
});
const other = (is: Kind['is'], formula: string, heat: string): Kind => ({ formula, charge: 0, mlPerMol: 0, heat, is });

/** In the order of their places. */
const kinds = [
  ['H2O', other('water', 'H2O', 'H2O_l')],
  ['H+', ion('H', [1, 0], 'H_aq')],
  ['Na+', ion('Na', [1, -1.21], 'Na_aq')],
  ['K+', ion('K', [1, 9.02], 'K_aq')],
  ['Cu2+', ion('Cu', [2, -27.8], 'Cu2_aq')],
  ['Zn2+', ion('Zn', [2, -21.6], 'Zn_aq')],
  ['Mg2+', ion('Mg', [2, -21.2], 'Mg_aq')],
  ['Fe2+', ion('Fe', [2, -24.7], 'Fe2_aq')],
  ['SO4 2-', ion('SO4', [-2, 13.98], 'SO4_aq')],
  ['Cl-', ion('Cl', [-1, 17.83], 'Cl_aq')],
  ['NO3-', ion('NO3', [-1, 29], 'NO3_aq')],
  ['CH3COO-', ion('CH3COO', [-1, 40.46], 'OAc_aq')],
  ['ClO-', ion('ClO', [-1, 16], 'ClO_aq')],
  ['CO3 2-', ion('CO3', [-2, -4.3], 'CO3_aq')],
  ['HCO3-', ion('HCO3', [-1, 23.4], 'HCO3_aq')],
  ['OH-', ion('OH', [-1, -4.04], 'OH_aq')],
  ['Mg(OH)2', other('solid', 'Mg(OH)2', 'MgOH2_s')],
  ['Cu(OH)2', other('solid', 'Cu(OH)2', 'CuOH2_s')],
  ['Zn(OH)2', other('solid', 'Zn(OH)2', 'ZnOH2_s')],
  ['Fe(OH)2', other('solid', 'Fe(OH)2', 'FeOH2_s')],
  ['Cu2CO3(OH)2', other('solid', 'Cu2CO3(OH)2', 'Cu2CO3OH2_s')],
  ['ZnCO3', other('solid', 'ZnCO3', 'ZnCO3_s')],
  ['Cu', other('metal', 'Cu', 'Cu_s')],
  ['Zn', other('metal', 'Zn', 'Zn_s')],
  ['Fe', other('metal', 'Fe', 'Fe_s')],
  ['C', other('metal', 'C', 'C_s')],
  ['H2', other('gas', 'H2', 'H2_g')],
  ['O2', other('gas', 'O2', 'O2_g')],
  ['CO2', other('gas', 'CO2', 'CO2_g')],
  ['Cl2', other('gas', 'Cl2', 'Cl2_g')],
] as const satisfies readonly (readonly [string, Kind])[];

type Kinds = typeof kinds;
type PlacesOf<T extends readonly unknown[]> = {
  [K in keyof T]: K extends `${infer Place extends number}` ? Place : never;
};
type NumberFor<T extends readonly unknown[]> = { -readonly [K in keyof T]: number };
export type SpeciesName = Kinds[number][0];
/** Place of a species in an array of mol. */
export type Place = PlacesOf<Kinds>[number];
/** A number for each species, in their order: what is looked up by a place is always there. */
export type PerSpecies = NumberFor<Kinds>;

export const speciesNames: readonly SpeciesName[] = kinds.map(([name]) => name);
export const places = kinds.map((_, i) => i) as readonly number[] as readonly Place[];
export const at = Object.fromEntries(speciesNames.map((name, i) => [name, i])) as Readonly<Record<SpeciesName, Place>>;
export const nameAt = (place: Place): SpeciesName => kinds[place][0];

/** The array that holds for each species what a function makes of it. */
export const perSpecies = (of: (kind: Kind, name: SpeciesName) => number): PerSpecies =>
  kinds.map(([name, kind]) => of(kind, name)) as readonly number[] as PerSpecies;

export const charges: Readonly<PerSpecies> = perSpecies(({ charge }) => charge);
export const volumes: Readonly<PerSpecies> = perSpecies(({ mlPerMol }) => mlPerMol);
/** g/mol; an ion as its atoms. */
export const masses: Readonly<PerSpecies> = perSpecies(({ formula }) => molarMass(formula));
/** kJ/mol. */
export const enthalpies: Readonly<PerSpecies> = perSpecies(({ heat }) => heatOf(heat));
/** S cm²/mol of charge at infinite dilution, 25 °C; 0 for what carries none. ClO⁻ as chlorate. */
export const mobilities: Readonly<PerSpecies> = perSpecies(({ is }, name) =>
  is === 'ion' ? mobilityOf(name === 'ClO-' ? 'ClO3-' : name) : 0,
);
const kindOf = (name: SpeciesName): Kind => kinds[at[name]][1];
export const isA = (name: SpeciesName, is: Kind['is']): boolean => kindOf(name).is === is;
export const formulaOf = (name: SpeciesName): string => kindOf(name).formula;

export const cations = speciesNames.filter((name) => kindOf(name).charge > 0);
export const anions = speciesNames.filter((name) => kindOf(name).charge < 0);
/** Their places, for loops that run often. */
export const cationPlaces = cations.map((name) => at[name]);
export const anionPlaces = anions.map((name) => at[name]);

function heatOf(id: string): number {
  const row = thermochem.find((each) => each.id === id);
  if (!row) throw new Error(`no formation enthalpy ${id}`);
  if (row.dHf === undefined || row.dHf === null) throw new Error(`no formation enthalpy ${id}`);
  return row.dHf;
}

function mobilityOf(name: string): number {
  const row = ionConductivities.find(({ ion: each }) => each === name);
  if (!row) throw new Error(`no conductivity of ${name}`);
  return row.value;
}
