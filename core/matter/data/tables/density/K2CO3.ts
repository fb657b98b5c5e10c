import type { DensityTable } from '../density-table.ts';

/** potassium carbonate in water: [mass %, g/mL] at each temperature. */
export const K2CO3: DensityTable = {
  id: 'K2CO3',
  formula: 'K2CO3',
  series: [
    { tempC: 0, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0094], [2, 1.0189], [4, 1.0381], [12, 1.1160], [16, 1.1562], [20, 1.1977], [28, 1.2846], [30, 1.3071], [40, 1.4244]] },
    { tempC: 10, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0089], [2, 1.0182], [8, 1.0746], [12, 1.1131], [16, 1.1530], [24, 1.2366], [28, 1.2804], [30, 1.3028], [40, 1.4195]] },
    { tempC: 20, grade: 'A', source: 'CRC Handbook, concentrative properties of aqueous solutions', points: [[1, 1.0072], [2, 1.0163], [4, 1.0345], [5, 1.0437], [6, 1.0529], [10, 1.0904], [12, 1.1096], [14, 1.1291], [20, 1.1898], [24, 1.2320], [28, 1.2756], [35, 1.3548], [40, 1.4141], [50, 1.5404]] },
    { tempC: 40, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0010], [2, 1.0098], [8, 1.0640], [12, 1.1013], [16, 1.1399], [24, 1.2219], [28, 1.2652], [30, 1.2873], [40, 1.4029]] },
    { tempC: 60, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9919], [4, 1.0180], [8, 1.0538], [12, 1.0906], [16, 1.1290], [24, 1.2106], [28, 1.2538], [30, 1.2759], [40, 1.3913]] },
    { tempC: 80, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9803], [4, 1.0063], [8, 1.0418], [12, 1.0786], [20, 1.1570], [24, 1.1986], [28, 1.2418], [30, 1.2640]] },
    { tempC: 100, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9670], [8, 1.0291], [12, 1.0663], [16, 1.1049], [24, 1.1869], [28, 1.2301], [30, 1.2522]] },
  ],
};
