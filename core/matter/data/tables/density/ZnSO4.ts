import type { DensityTable } from '../density-table.ts';

/** zinc sulfate in water: [mass %, g/mL] at each temperature. */
export const ZnSO4: DensityTable = {
  id: 'ZnSO4',
  formula: 'ZnSO4',
  series: [
    { tempC: 15, grade: 'B', source: 'Gerlach 15 C table for the heptahydrate, converted to anhydrous basis', points: [[5.61, 1.0593], [11.23, 1.1236], [16.84, 1.1933], [28.07, 1.3532], [33.69, 1.4451]] },
    { tempC: 20, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook; CRC Handbook, concentrative properties of aqueous solutions', points: [[4, 1.0403], [6, 1.0620], [10, 1.1071], [12, 1.1308], [14, 1.1553], [16, 1.1806]] },
  ],
};
