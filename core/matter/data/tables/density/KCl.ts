import type { DensityTable } from '../density-table.ts';

/** potassium chloride in water: [mass %, g/mL] at each temperature. */
export const KCl: DensityTable = {
  id: 'KCl',
  formula: 'KCl',
  series: [
    { tempC: 0, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0066], [2, 1.0134], [4, 1.0269], [12, 1.0822], [16, 1.1107], [20, 1.1397]] },
    { tempC: 20, grade: 'A', source: 'CRC Handbook, concentrative properties of aqueous solutions', points: [[1, 1.0046], [2, 1.0110], [4, 1.0239], [5, 1.0304], [6, 1.0369], [8, 1.0500], [9, 1.0566], [10, 1.0633], [14, 1.0905], [16, 1.1043], [18, 1.1185], [22, 1.1474], [24, 1.1623]] },
    { tempC: 25, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0034], [2, 1.0098], [4, 1.0226], [12, 1.0751], [16, 1.1025], [20, 1.1307], [24, 1.1600]] },
    { tempC: 40, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9985], [4, 1.0173], [8, 1.0428], [16, 1.0960], [20, 1.1240], [24, 1.1530]] },
    { tempC: 60, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9894], [2, 0.9956], [8, 1.0333], [12, 1.0592], [16, 1.0861], [24, 1.1425]] },
    { tempC: 80, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9780], [2, 0.9842], [4, 0.9966], [8, 1.0219], [16, 1.0746], [20, 1.1024], [24, 1.1311]] },
  ],
};
