import type { DistributionRow } from './rows.ts';

const source = 'IUPAC and older distribution tables';

/** Distribution of what is dissolved between a liquid and water, mol/L over mol/L, undissociated, 25 °C. */
export const distributions: readonly DistributionRow[] = [
  { liquid: 'ethyl-acetate', solute: 'acetic-acid', D: [0.75, 0.87, 1.0], source, grade: 'B' },
  { liquid: 'ethyl-acetate', solute: 'formic-acid', D: [0.45, 0.6, 0.8], source, grade: 'C' },
  { liquid: 'ethyl-acetate', solute: 'ethanol', D: [0.2, 0.3, 0.45], source, grade: 'C' },
  { liquid: 'ethyl-acetate', solute: 'isopropanol', D: [0.6, 0.9, 1.3], source, grade: 'C' },
  { liquid: 'ethyl-acetate', solute: 'salicylic-acid', D: [80, 150, 300], source, grade: 'C' },
  { liquid: 'ethyl-acetate', solute: 'benzoic-acid', D: [50, 90, 150], source, grade: 'C' },
  { liquid: 'ethyl-acetate', solute: 'citric-acid', D: [0.05, 0.09, 0.15], source, grade: 'C' },
  { liquid: 'ethyl-acetate', solute: 'oxalic-acid', D: [0.05, 0.1, 0.2], source, grade: 'C' },
  { liquid: 'isoamyl-alcohol', solute: 'acetic-acid', D: [0.85, 0.95, 1.1], source, grade: 'B' },
  { liquid: 'isoamyl-alcohol', solute: 'formic-acid', D: [0.5, 0.65, 0.85], source, grade: 'C' },
  { liquid: 'isoamyl-alcohol', solute: 'ethanol', D: [0.6, 0.8, 1.2], source, grade: 'C' },
  { liquid: 'isoamyl-acetate', solute: 'acetic-acid', D: [0.25, 0.35, 0.5], source, grade: 'C' },
  { liquid: 'isoamyl-acetate', solute: 'isoamyl-alcohol', D: [7, 12, 20], source, grade: 'C' },
  { liquid: 'isoamyl-formate', solute: 'formic-acid', D: [0.15, 0.25, 0.4], source, grade: 'C' },
  { liquid: 'isoamyl-formate', solute: 'isoamyl-alcohol', D: [7, 12, 20], source, grade: 'C' },
  { liquid: 'ethyl-salicylate', solute: 'ethanol', D: [0.05, 0.1, 0.2], source, grade: 'C' },
  { liquid: 'ethyl-salicylate', solute: 'salicylic-acid', D: [30, 60, 150], source, grade: 'C' },
  { liquid: 'ethyl-acetate', solute: 'iodine', D: [100, 200, 400], source, grade: 'C' },
  { liquid: 'isoamyl-alcohol', solute: 'iodine', D: [100, 200, 300], source, grade: 'C' },
];
