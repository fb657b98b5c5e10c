import { hydrateWater, molarMass, type Substance } from '#core/substance';

/** Organic salts and some others stand in the table under a name; here by the substance without its crystal water. */
const TABLE_NAME: Readonly<Record<string, string>> = {
  'sodium-acetate': 'Na_acetate',
  'calcium-acetate': 'Ca_acetate',
  'copper-acetate': 'Cu_acetate',
  'zinc-acetate': 'Zn_acetate',
  'copper-formate': 'Cu_formate',
  'sodium-formate': 'Na_formate',
  'potassium-formate': 'K_formate',
  'oxalic-acid': 'oxalic_acid',
  'citric-acid': 'citric_acid',
  'boric-acid': 'boric_acid',
  'tartaric-acid': 'tartaric_acid',
  'ascorbic-acid': 'ascorbic_acid',
  'benzoic-acid': 'benzoic_acid',
  'salicylic-acid': 'salicylic_acid',
  borax: 'borax',
  urea: 'urea',
};

/** The formula without its crystal water: “KAl(SO4)2” of alum. */
export function dryFormula(formula: string): string {
  return formula.replace(/\.\d*(?:\.\d+)?H2O$/, '');
}

/** Under which name the solubility table holds a substance, hydrate or not. */
export function tableName(substance: Substance): string {
  return TABLE_NAME[substance.anhydrous ?? substance.id] ?? dryFormula(substance.formula);
}

/** The formula of a phase of the table: “C4H6O6 (L or +)” is C4H6O6. */
export function phaseFormula(phase: string): string {
  return phase.split(' ')[0]!;
}

/** g of dry substance in a g of a solid, 0 to 1. */
export function dryShare(formula: string): number {
  const dry = dryFormula(formula);
  return molarMass(dry) / (molarMass(dry) + hydrateWater(formula) * WATER);
}

const WATER = 18.015;
