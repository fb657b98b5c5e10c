import type { DensityTable } from '../density-table.ts';

/** hydrochloric acid in water: [mass %, g/mL] at each temperature. */
export const HCl: DensityTable = {
  id: 'HCl',
  formula: 'HCl',
  series: [
    { tempC: 0, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0052], [2, 1.0106], [4, 1.0213], [8, 1.0423], [10, 1.0528], [12, 1.0634], [14, 1.0741], [18, 1.0958], [20, 1.1067], [22, 1.1177], [26, 1.1396], [28, 1.1505], [30, 1.1613]] },
    { tempC: 10, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0048], [2, 1.0100], [6, 1.0303], [8, 1.0403], [10, 1.0504], [12, 1.0607], [16, 1.0815], [18, 1.0920], [20, 1.1025], [24, 1.1238], [26, 1.1344], [28, 1.1449], [30, 1.1553]] },
    { tempC: 20, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0032], [4, 1.0181], [6, 1.0279], [8, 1.0376], [10, 1.0474], [14, 1.0675], [16, 1.0776], [18, 1.0878], [22, 1.1083], [24, 1.1187], [26, 1.1290], [30, 1.1493], [32, 1.1593], [34, 1.1691], [36, 1.1789], [38, 1.1885], [40, 1.1980]] },
    { tempC: 40, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9970], [4, 1.0116], [6, 1.0211], [8, 1.0305], [12, 1.0497], [14, 1.0594], [16, 1.0692], [20, 1.0888], [22, 1.0986], [24, 1.1085], [26, 1.1183], [30, 1.1376]] },
    { tempC: 60, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9881], [2, 0.9930], [4, 1.0026], [6, 1.0121], [10, 1.0310], [12, 1.0406], [14, 1.0502], [16, 1.0598], [20, 1.0790], [22, 1.0886], [24, 1.0982], [28, 1.1169], [30, 1.1260]] },
    { tempC: 80, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9768], [2, 0.9819], [4, 0.9919], [8, 1.0111], [10, 1.0206], [12, 1.0302], [14, 1.0398], [18, 1.0590], [20, 1.0685], [22, 1.0780], [26, 1.0967], [28, 1.1058], [30, 1.1149]] },
    { tempC: 100, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9636], [2, 0.9688], [6, 0.9892], [8, 0.9992], [10, 1.0090], [12, 1.0188], [16, 1.0383], [18, 1.0479], [20, 1.0574], [24, 1.0761], [26, 1.0853], [28, 1.0942], [30, 1.1030]] },
  ],
};
