import type { DensityTable } from '../density-table.ts';

/** ammonium sulfate in water: [mass %, g/mL] at each temperature. */
export const NH4_2SO4: DensityTable = {
  id: 'NH4_2SO4',
  formula: '(NH4)2SO4',
  series: [
    { tempC: 0, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0061], [2, 1.0124], [4, 1.0248], [12, 1.0740], [16, 1.0980], [20, 1.1215], [28, 1.1677]] },
    { tempC: 20, grade: 'A', source: 'CRC Handbook, concentrative properties of aqueous solutions', points: [[1, 1.0041], [2, 1.0101], [3, 1.0160], [4, 1.0220], [6, 1.0338], [7, 1.0397], [8, 1.0456], [10, 1.0574], [12, 1.0691], [14, 1.0808], [18, 1.1039], [20, 1.1154], [22, 1.1269], [26, 1.1496], [28, 1.1609], [30, 1.1721], [40, 1.2277], [50, 1.2825]] },
    { tempC: 40, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9980], [2, 1.0039], [4, 1.0155], [12, 1.0619], [16, 1.0849], [20, 1.1077], [28, 1.1529]] },
    { tempC: 60, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9890], [2, 0.9949], [4, 1.0065], [8, 1.0298], [16, 1.0760], [20, 1.0988]] },
    { tempC: 80, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9777], [2, 0.9836], [4, 0.9953], [12, 1.0422]] },
    { tempC: 100, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9644], [2, 0.9705], [4, 0.9826], [8, 1.0066], [12, 1.0303]] },
  ],
};
