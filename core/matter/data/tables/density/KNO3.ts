import type { DensityTable } from '../density-table.ts';

/** potassium nitrate in water: [mass %, g/mL] at each temperature. */
export const KNO3: DensityTable = {
  id: 'KNO3',
  formula: 'KNO3',
  series: [
    { tempC: 0, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0065], [2, 1.0133], [4, 1.0268], [12, 1.0822]] },
    { tempC: 20, grade: 'A', source: 'CRC Handbook, concentrative properties of aqueous solutions', points: [[1, 1.0045], [2, 1.0108], [3, 1.0171], [4, 1.0234], [6, 1.0363], [7, 1.0428], [8, 1.0494], [10, 1.0627], [12, 1.0762], [14, 1.0899], [18, 1.1181], [20, 1.1326], [24, 1.1623]] },
    { tempC: 40, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9983], [2, 1.0043], [8, 1.0415], [12, 1.0674], [16, 1.0943], [24, 1.1518]] },
    { tempC: 60, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9890], [2, 0.9949], [4, 1.0068], [12, 1.0567], [16, 1.0831], [20, 1.1106], [24, 1.1391]] },
  ],
};
