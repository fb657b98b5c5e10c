import type { DensityTable } from '../density-table.ts';

/** sodium carbonate in water: [mass %, g/mL] at each temperature. */
export const Na2CO3: DensityTable = {
  id: 'Na2CO3',
  formula: 'Na2CO3',
  series: [
    { tempC: 0, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0109], [2, 1.0219], [4, 1.0439], [12, 1.1319], [14, 1.1543]] },
    { tempC: 10, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0103], [2, 1.0210], [8, 1.0850], [12, 1.1284], [14, 1.1506]] },
    { tempC: 20, grade: 'A', source: 'CRC Handbook, concentrative properties of aqueous solutions', points: [[1, 1.0086], [2, 1.0190], [4, 1.0398], [5, 1.0502], [7, 1.0711], [8, 1.0816], [9, 1.0922], [12, 1.1244], [14, 1.1463]] },
    { tempC: 30, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0058], [2, 1.0159], [8, 1.0775], [12, 1.1200], [14, 1.1417]] },
    { tempC: 40, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0022], [2, 1.0122], [8, 1.0732], [12, 1.1150], [14, 1.1365]] },
    { tempC: 60, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9929], [4, 1.0223], [8, 1.0625], [12, 1.1039], [14, 1.1251]] },
    { tempC: 80, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9814], [4, 1.0105], [8, 1.0503], [14, 1.1125]] },
    { tempC: 100, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9683], [2, 0.9782], [4, 0.9980], [8, 1.0380], [14, 1.0996]] },
  ],
};
