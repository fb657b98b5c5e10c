/** How far an acid or base is titrated, and by which indicator its end is seen. */
export interface ToEnd {
  readonly species: string;
  /** Protons given or taken by that end. */
  readonly protons: number;
  /** The row of the indicator whose turning lies on the steep part. */
  readonly indicator: string;
  /** With hydroxide or hydrogen ions: whatever brings them, they do the work. */
  readonly reaction: string;
}

export const acidsToEnd: readonly ToEnd[] = [
  { species: 'hydrochloric-acid', protons: 1, indicator: 'bromothymol_blue', reaction: 'HCl + OH- -> Cl- + H2O' },
  { species: 'nitric-acid', protons: 1, indicator: 'bromothymol_blue', reaction: 'HNO3 + OH- -> NO3- + H2O' },
  { species: 'sulfuric-acid', protons: 2, indicator: 'bromothymol_blue', reaction: 'H2SO4 + 2 OH- -> SO4^2- + 2 H2O' },
  {
    species: 'phosphoric-acid',
    protons: 2,
    indicator: 'thymolphthalein',
    reaction: 'H3PO4 + 2 OH- -> HPO4^2- + 2 H2O',
  },
  { species: 'acetic-acid', protons: 1, indicator: 'phenolphthalein', reaction: 'C2H4O2 + OH- -> C2H3O2- + H2O' },
  { species: 'formic-acid', protons: 1, indicator: 'phenolphthalein', reaction: 'CH2O2 + OH- -> CHO2- + H2O' },
  { species: 'citric-acid', protons: 3, indicator: 'phenolphthalein', reaction: 'C6H8O7 + 3 OH- -> C6H5O7^3- + 3 H2O' },
  {
    species: 'tartaric-acid',
    protons: 2,
    indicator: 'phenolphthalein',
    reaction: 'C4H6O6 + 2 OH- -> C4H4O6^2- + 2 H2O',
  },
  { species: 'oxalic-acid', protons: 2, indicator: 'phenolphthalein', reaction: 'C2H2O4 + 2 OH- -> C2O4^2- + 2 H2O' },
  { species: 'lactic-acid', protons: 1, indicator: 'phenolphthalein', reaction: 'C3H6O3 + OH- -> C3H5O3- + H2O' },
  { species: 'benzoic-acid', protons: 1, indicator: 'phenolphthalein', reaction: 'C7H6O2 + OH- -> C7H5O2- + H2O' },
  { species: 'salicylic-acid', protons: 1, indicator: 'phenolphthalein', reaction: 'C7H6O3 + OH- -> C7H5O3- + H2O' },
  { species: 'ascorbic-acid', protons: 1, indicator: 'phenolphthalein', reaction: 'C6H8O6 + OH- -> C6H7O6- + H2O' },
  { species: 'sulfamic-acid', protons: 1, indicator: 'bromothymol_blue', reaction: 'H3NSO3 + OH- -> H2NSO3- + H2O' },
  {
    species: 'sodium-hydrogensulfate',
    protons: 1,
    indicator: 'bromothymol_blue',
    reaction: 'NaHSO4 + OH- -> Na+ + SO4^2- + H2O',
  },
  {
    species: 'potassium-hydrogen-phthalate',
    protons: 1,
    indicator: 'phenolphthalein',
    reaction: 'KHC8H4O4 + OH- -> K+ + C8H4O4^2- + H2O',
  },
  {
    species: 'potassium-hydrogen-tartrate',
    protons: 1,
    indicator: 'phenolphthalein',
    reaction: 'KHC4H4O6 + OH- -> K+ + C4H4O6^2- + H2O',
  },
];

export const basesToEnd: readonly ToEnd[] = [
  { species: 'sodium-hydroxide', protons: 1, indicator: 'bromothymol_blue', reaction: 'NaOH + H+ -> Na+ + H2O' },
  { species: 'potassium-hydroxide', protons: 1, indicator: 'bromothymol_blue', reaction: 'KOH + H+ -> K+ + H2O' },
  { species: 'ammonia', protons: 1, indicator: 'methyl_red', reaction: 'NH3 + H+ -> NH4+' },
  {
    species: 'sodium-carbonate',
    protons: 2,
    indicator: 'methyl_orange',
    reaction: 'Na2CO3 + 2 H+ -> 2 Na+ + CO2 + H2O',
  },
  {
    species: 'sodium-hydrogencarbonate',
    protons: 1,
    indicator: 'methyl_orange',
    reaction: 'NaHCO3 + H+ -> Na+ + CO2 + H2O',
  },
  {
    species: 'potassium-carbonate',
    protons: 2,
    indicator: 'methyl_orange',
    reaction: 'K2CO3 + 2 H+ -> 2 K+ + CO2 + H2O',
  },
  {
    species: 'potassium-hydrogencarbonate',
    protons: 1,
    indicator: 'methyl_orange',
    reaction: 'KHCO3 + H+ -> K+ + CO2 + H2O',
  },
  {
    species: 'calcium-hydroxide',
    protons: 2,
    indicator: 'bromothymol_blue',
    reaction: 'Ca(OH)2 + 2 H+ -> Ca^2+ + 2 H2O',
  },
  {
    species: 'sodium-tetraborate',
    protons: 2,
    indicator: 'methyl_red',
    reaction: 'Na2B4O7 + 2 H+ + 5 H2O -> 2 Na+ + 4 H3BO3',
  },
];
