import type { DensityTable } from '../density-table.ts';

/** phosphoric acid in water: [mass %, g/mL] at each temperature. */
export const H3PO4: DensityTable = {
  id: 'H3PO4',
  formula: 'H3PO4',
  series: [
    { tempC: 10, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[2, 1.0109], [6, 1.0330], [14, 1.0792], [26, 1.1567], [35, 1.2210], [50, 1.3410]] },
    { tempC: 20, grade: 'A', source: 'CRC Handbook, concentrative properties of aqueous solutions; above 40 wt% ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0038], [2, 1.0092], [4, 1.0200], [5, 1.0254], [6, 1.0309], [7, 1.0363], [9, 1.0474], [10, 1.0531], [12, 1.0647], [16, 1.0885], [18, 1.1009], [20, 1.1135], [24, 1.1395], [26, 1.1528], [28, 1.1665], [30, 1.1804], [34, 1.2089], [36, 1.2236], [38, 1.2385], [45, 1.2930], [50, 1.3350], [55, 1.3790], [65, 1.4750], [70, 1.5260], [75, 1.5790], [80, 1.6330], [90, 1.7460], [100, 1.8700]] },
    { tempC: 30, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[2, 1.0065], [6, 1.0279], [14, 1.0728], [26, 1.1484], [35, 1.2110], [50, 1.3290]] },
    { tempC: 40, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[2, 1.0029], [6, 1.0241], [20, 1.1048], [26, 1.1435], [35, 1.2050], [50, 1.3220]] },
  ],
};
