import type { DensityTable } from '../density-table.ts';

/** formic acid in water: [mass %, g/mL] at each temperature. */
export const formic_acid: DensityTable = {
  id: 'formic_acid',
  formula: 'HCOOH',
  series: [
    { tempC: 20, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[5, 1.0115], [6, 1.0141], [7, 1.0170], [9, 1.0221], [10, 1.0246], [12, 1.0296], [14, 1.0345], [18, 1.0441], [20, 1.0488], [22, 1.0537], [26, 1.0633], [28, 1.0681], [30, 1.0729], [40, 1.0963], [60, 1.1424], [70, 1.1655], [80, 1.1860], [90, 1.2044], [100, 1.2212]] },
  ],
};
