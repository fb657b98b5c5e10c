import type { DensityTable } from '../density-table.ts';

/** sodium sulfate in water: [mass %, g/mL] at each temperature. */
export const Na2SO4: DensityTable = {
  id: 'Na2SO4',
  formula: 'Na2SO4',
  series: [
    { tempC: 0, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0094], [2, 1.0189], [4, 1.0381], [12, 1.1174], [16, 1.1585], [20, 1.2008], [24, 1.2443]] },
    { tempC: 20, grade: 'A', source: 'CRC Handbook, concentrative properties of aqueous solutions', points: [[1, 1.0073], [3, 1.0255], [4, 1.0348], [5, 1.0441], [7, 1.0629], [8, 1.0724], [10, 1.0915], [12, 1.1109], [14, 1.1306], [18, 1.1709], [20, 1.1915], [22, 1.2124], [24, 1.2336]] },
    { tempC: 30, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0046], [4, 1.0315], [8, 1.0682], [12, 1.1062], [20, 1.1865], [24, 1.2292]] },
    { tempC: 40, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0010], [2, 1.0098], [4, 1.0276], [12, 1.1015], [16, 1.1406], [20, 1.1813], [24, 1.2237]] },
    { tempC: 60, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9919], [4, 1.0184], [8, 1.0544], [12, 1.0915], [20, 1.1696]] },
    { tempC: 80, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9805], [2, 0.9892], [4, 1.0068], [12, 1.0795], [16, 1.1176], [20, 1.1569]] },
    { tempC: 100, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9671], [2, 0.9758], [8, 1.0292], [12, 1.0661], [16, 1.1042]] },
  ],
};
