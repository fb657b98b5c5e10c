import type { DensityTable } from '../density-table.ts';

/** magnesium sulfate in water: [mass %, g/mL] at each temperature. */
export const MgSO4: DensityTable = {
  id: 'MgSO4',
  formula: 'MgSO4',
  series: [
    { tempC: 20, grade: 'A', source: 'CRC Handbook, concentrative properties of aqueous solutions; ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[2, 1.0186], [4, 1.0392], [6, 1.0602], [10, 1.1034], [12, 1.1256], [14, 1.1484], [18, 1.1955], [20, 1.2198], [22, 1.2447], [24, 1.2701], [26, 1.2961]] },
  ],
};
