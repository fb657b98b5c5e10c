import type { DensityTable } from '../density-table.ts';

/** sodium bicarbonate in water: [mass %, g/mL] at each temperature. */
export const NaHCO3: DensityTable = {
  id: 'NaHCO3',
  formula: 'NaHCO3',
  series: [
    { tempC: 18, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0059], [3, 1.0206], [5, 1.0354], [8, 1.0581]] },
    { tempC: 20, grade: 'B', source: '18 C column moved to 20 C through the apparent molar volume', points: [[1, 1.0055], [3, 1.0201], [5, 1.0349], [8, 1.0575]] },
  ],
};
