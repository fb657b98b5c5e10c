import type { DensityTable } from '../density-table.ts';

/** iron(II) sulfate in water: [mass %, g/mL] at each temperature. */
export const FeSO4: DensityTable = {
  id: 'FeSO4',
  formula: 'FeSO4',
  series: [
    { tempC: 15, grade: 'C', source: 'Gerlach 15 C table for the heptahydrate, converted to anhydrous basis', points: [[5.46, 1.0537], [10.93, 1.1124], [16.39, 1.1738], [21.86, 1.2391]] },
    { tempC: 18, grade: 'C', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0085], [4, 1.0375], [8, 1.079], [12, 1.1235], [16, 1.169], [20, 1.2135]] },
  ],
};
