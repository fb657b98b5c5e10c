import type { DensityTable } from '../density-table.ts';

/** acetone in water: [mass %, g/mL] at each temperature. */
export const acetone: DensityTable = {
  id: 'acetone',
  formula: 'C3H6O',
  series: [
    { tempC: 20, grade: 'B', source: 'CRC Handbook, concentrative properties of aqueous solutions', points: [[1, 0.9968], [2, 0.9954], [3, 0.9940], [5, 0.9912], [6, 0.9899], [7, 0.9886], [8, 0.9874], [10, 0.9849], [20, 0.972], [30, 0.957], [40, 0.939], [50, 0.919], [60, 0.896], [70, 0.872], [80, 0.846], [90, 0.819], [100, 0.791]] },
  ],
};
