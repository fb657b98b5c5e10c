import type { DensityTable } from '../density-table.ts';

/** potassium iodide in water: [mass %, g/mL] at each temperature. */
export const KI: DensityTable = {
  id: 'KI',
  formula: 'KI',
  series: [
    { tempC: 20, grade: 'A', source: 'CRC Handbook, concentrative properties of aqueous solutions', points: [[1, 1.0056], [2, 1.0131], [3, 1.0206], [5, 1.0360], [6, 1.0438], [7, 1.0517], [8, 1.0598], [10, 1.0761], [12, 1.0930], [14, 1.1104], [18, 1.1469], [20, 1.1660], [24, 1.2060], [28, 1.2487], [34, 1.3185], [40, 1.3959], [50, 1.5458]] },
  ],
};
