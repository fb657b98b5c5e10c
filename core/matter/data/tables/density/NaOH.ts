import type { DensityTable } from '../density-table.ts';

/** sodium hydroxide in water: [mass %, g/mL] at each temperature. */
export const NaOH: DensityTable = {
  id: 'NaOH',
  formula: 'NaOH',
  series: [
    { tempC: 0, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0124], [2, 1.0244], [4, 1.0482], [12, 1.1399], [16, 1.1849], [20, 1.2296], [24, 1.2741], [32, 1.3614], [36, 1.4030], [40, 1.4435], [48, 1.5210], [50, 1.5400]] },
    { tempC: 15, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0107], [2, 1.0220], [4, 1.0444], [12, 1.1333], [16, 1.1776], [20, 1.2218], [24, 1.2658], [32, 1.3520], [36, 1.3933], [40, 1.4334], [48, 1.5102], [50, 1.5290]] },
    { tempC: 20, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0095], [2, 1.0207], [4, 1.0428], [6, 1.0648], [10, 1.1089], [12, 1.1309], [14, 1.1530], [18, 1.1972], [20, 1.2191], [22, 1.2411], [26, 1.2848], [28, 1.3064], [30, 1.3279], [32, 1.3490], [36, 1.3900], [38, 1.4101], [40, 1.4300], [44, 1.4685], [46, 1.4873], [48, 1.5065], [50, 1.5253]] },
    { tempC: 40, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0033], [2, 1.0139], [8, 1.0780], [12, 1.1210], [16, 1.1645], [24, 1.2512], [28, 1.2942], [32, 1.3362], [40, 1.4164], [44, 1.4545], [48, 1.4922], [50, 1.5109]] },
    { tempC: 60, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9941], [2, 1.0045], [8, 1.0676], [12, 1.1101], [16, 1.1531], [24, 1.2388], [28, 1.2814], [32, 1.3232], [36, 1.3634], [44, 1.4405], [48, 1.4781], [50, 1.4967]] },
    { tempC: 80, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9824], [2, 0.9929], [8, 1.0560], [12, 1.0983], [16, 1.1408], [24, 1.2259], [28, 1.2682], [32, 1.3097], [36, 1.3498], [44, 1.4266], [48, 1.4641], [50, 1.4827]] },
    { tempC: 100, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9693], [2, 0.9797], [8, 1.0432], [12, 1.0855], [16, 1.1277], [20, 1.1700], [28, 1.2546], [32, 1.2960], [36, 1.3360], [44, 1.4127], [48, 1.4503], [50, 1.4690]] },
  ],
};
