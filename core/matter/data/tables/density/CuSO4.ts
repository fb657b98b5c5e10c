import type { DensityTable } from '../density-table.ts';

/** copper(II) sulfate in water: [mass %, g/mL] at each temperature. */
export const CuSO4: DensityTable = {
  id: 'CuSO4',
  formula: 'CuSO4',
  series: [
    { tempC: 0, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0104], [4, 1.0429], [8, 1.0887], [12, 1.1379]] },
    { tempC: 20, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0086], [4, 1.0401], [8, 1.0840], [12, 1.1308], [16, 1.1800], [18, 1.2060]] },
    { tempC: 40, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0024], [8, 1.0764], [12, 1.1222]] },
  ],
};
