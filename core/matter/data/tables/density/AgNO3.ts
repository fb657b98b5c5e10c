import type { DensityTable } from '../density-table.ts';

/** silver nitrate in water: [mass %, g/mL] at each temperature. */
export const AgNO3: DensityTable = {
  id: 'AgNO3',
  formula: 'AgNO3',
  series: [
    { tempC: 20, grade: 'A', source: 'CRC Handbook, concentrative properties of aqueous solutions; ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0070], [2, 1.0154], [3, 1.0239], [5, 1.0416], [6, 1.0506], [7, 1.0597], [8, 1.0690], [10, 1.0882], [12, 1.1079], [14, 1.1284], [18, 1.1715], [20, 1.1942], [24, 1.2420], [28, 1.2934], [35, 1.3931], [40, 1.4743], [50, 1.6680], [60, 1.9160]] },
  ],
};
