import type { EsterRow } from './rows.ts';

const source = 'Berthelot and Péan de Saint-Gilles; physical organic texts';

/** Esters: K in moles at 25 and 100 °C with its range; hydrolysis in base, L/(mol s) at 25 °C and kJ/mol. */
export const esterEquilibria: readonly EsterRow[] = [
  { acid: 'acetic-acid', alcohol: 'ethanol', ester: 'ethyl-acetate', name: 'ethyl acetate', formula: 'C4H8O2', K: [4.0, 3.9], kLow: 3.5, kHigh: 4.3, inBase: [0.11, 47], source, grade: 'A' },
  { acid: 'acetic-acid', alcohol: 'methanol', ester: '', name: 'methyl acetate', formula: 'C3H6O2', K: [5.0, 4.6], kLow: 4.3, kHigh: 5.5, inBase: [0.18, 45], source, grade: 'B' },
  { acid: 'acetic-acid', alcohol: 'isoamyl-alcohol', ester: 'isoamyl-acetate', name: 'isoamyl acetate', formula: 'C7H14O2', K: [4.2, 4.0], kLow: 3.5, kHigh: 5, inBase: [0.075, 47], source, grade: 'B' },
  { acid: 'acetic-acid', alcohol: 'isopropanol', ester: '', name: 'isopropyl acetate', formula: 'C5H10O2', K: [2.4, 2.3], kLow: 2, kHigh: 3.5, inBase: [0.027, 48], source, grade: 'B' },
  { acid: 'formic-acid', alcohol: 'ethanol', ester: '', name: 'ethyl formate', formula: 'C3H6O2', K: [3.3, 3.2], kLow: 2.7, kHigh: 4, inBase: [26, 46], source, grade: 'B' },
  { acid: 'formic-acid', alcohol: 'isoamyl-alcohol', ester: 'isoamyl-formate', name: 'isoamyl formate', formula: 'C6H12O2', K: [3.5, 3.4], kLow: 2.5, kHigh: 4.5, inBase: [20, 46], source, grade: 'C' },
  { acid: 'salicylic-acid', alcohol: 'ethanol', ester: 'ethyl-salicylate', name: 'ethyl salicylate', formula: 'C9H10O3', K: [3, 3], kLow: 1.5, kHigh: 5, inBase: [0.0003, 65], source, grade: 'C' },
  { acid: 'salicylic-acid', alcohol: 'methanol', ester: '', name: 'methyl salicylate', formula: 'C8H8O3', K: [3.5, 3.4], kLow: 2, kHigh: 5, inBase: [0.0009, 65], source, grade: 'C' },
  { acid: 'benzoic-acid', alcohol: 'ethanol', ester: '', name: 'ethyl benzoate', formula: 'C9H10O2', K: [3.0, 3.1], kLow: 2.3, kHigh: 4, inBase: [0.03, 55], source, grade: 'B' },
  { acid: 'benzoic-acid', alcohol: 'methanol', ester: '', name: 'methyl benzoate', formula: 'C8H8O2', K: [3.5, 3.5], kLow: 2.5, kHigh: 4.5, inBase: [0.08, 52], source, grade: 'C' },
  { acid: 'lactic-acid', alcohol: 'ethanol', ester: '', name: 'ethyl lactate', formula: 'C5H10O3', K: [2.6, 2.5], kLow: 2.0, kHigh: 3.5, inBase: [1.0, 48], source, grade: 'C' },
];
