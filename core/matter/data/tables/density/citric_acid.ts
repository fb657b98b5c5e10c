import type { DensityTable } from '../density-table.ts';

/** citric acid (anhydrous basis) in water: [mass %, g/mL] at each temperature. */
export const citric_acid: DensityTable = {
  id: 'citric_acid',
  formula: 'C6H8O7',
  series: [
    { tempC: 15, grade: 'B', source: 'Gerlach 15 C table for the monohydrate, converted to anhydrous basis', points: [[18.29, 1.0805], [27.43, 1.1244], [36.57, 1.1709], [54.86, 1.2738]] },
    { tempC: 20, grade: 'A', source: 'CRC Handbook, concentrative properties of aqueous solutions', points: [[1, 1.0022], [2, 1.0063], [3, 1.0105], [4, 1.0147], [6, 1.0232], [7, 1.0274], [8, 1.0316], [10, 1.0402], [12, 1.0490], [14, 1.0580], [16, 1.0672], [20, 1.0858], [22, 1.0953], [24, 1.1049], [28, 1.1246], [30, 1.1346]] },
  ],
};
