import type { DensityTable } from '../density-table.ts';

/** hydrogen peroxide in water: [mass %, g/mL] at each temperature. */
export const H2O2: DensityTable = {
  id: 'H2O2',
  formula: 'H2O2',
  series: [
    { tempC: 18, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0022], [2, 1.0058], [4, 1.0131], [10, 1.0351], [12, 1.0425], [14, 1.0499], [20, 1.0725], [22, 1.0802], [28, 1.1040], [30, 1.1122], [35, 1.1327], [50, 1.1966], [55, 1.2188], [60, 1.2416], [90, 1.3931]] },
    { tempC: 20, grade: 'B', source: '18 C column above moved to 20 C with the measured expansion coefficient', points: [[1, 1.0018], [2, 1.0054], [4, 1.0126], [10, 1.0345], [12, 1.0418], [14, 1.0492], [20, 1.0716], [22, 1.0793], [28, 1.1029], [30, 1.1111], [35, 1.1315], [50, 1.1951], [55, 1.2172], [60, 1.2400], [90, 1.3910]] },
  ],
};
