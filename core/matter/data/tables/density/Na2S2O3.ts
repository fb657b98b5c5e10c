import type { DensityTable } from '../density-table.ts';

/** sodium thiosulfate in water: [mass %, g/mL] at each temperature. */
export const Na2S2O3: DensityTable = {
  id: 'Na2S2O3',
  formula: 'Na2S2O3',
  series: [
    { tempC: 20, grade: 'A', source: 'CRC Handbook, concentrative properties of aqueous solutions', points: [[1, 1.0065], [2, 1.0148], [3, 1.0231], [5, 1.0399], [6, 1.0483], [7, 1.0568], [8, 1.0654], [10, 1.0827], [12, 1.1003], [14, 1.1182], [18, 1.1551], [20, 1.1740], [24, 1.2128], [28, 1.2532], [35, 1.3273], [40, 1.3827]] },
  ],
};
