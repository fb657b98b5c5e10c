import type { DensityTable } from '../density-table.ts';

/** sodium nitrate in water: [mass %, g/mL] at each temperature. */
export const NaNO3: DensityTable = {
  id: 'NaNO3',
  formula: 'NaNO3',
  series: [
    { tempC: 0, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0071], [2, 1.0144], [4, 1.0290], [12, 1.0891], [16, 1.1203], [20, 1.1526], [28, 1.2204], [30, 1.2380], [35, 1.2834], [40, 1.3316]] },
    { tempC: 20, grade: 'A', source: 'CRC Handbook, concentrative properties of aqueous solutions', points: [[1, 1.0049], [2, 1.0117], [4, 1.0254], [5, 1.0322], [6, 1.0392], [8, 1.0532], [9, 1.0603], [10, 1.0674], [14, 1.0967], [16, 1.1118], [18, 1.1272], [20, 1.1429], [28, 1.2085], [30, 1.2256], [35, 1.2701], [45, 1.3683]] },
    { tempC: 40, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9986], [2, 1.0050], [4, 1.0180], [8, 1.0447], [16, 1.1013], [20, 1.1314], [24, 1.1629], [30, 1.2122], [35, 1.2560], [40, 1.3027], [45, 1.3528]] },
    { tempC: 60, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9894], [2, 0.9956], [8, 1.0340], [12, 1.0609], [16, 1.0892], [24, 1.1496], [28, 1.1816], [30, 1.1980], [40, 1.2875], [45, 1.3371]] },
    { tempC: 80, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9779], [2, 0.9840], [4, 0.9964], [8, 1.0218], [16, 1.0757], [20, 1.1048], [24, 1.1351], [30, 1.1830], [35, 1.2258], [40, 1.2715], [45, 1.3206]] },
    { tempC: 100, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9644], [4, 0.9826], [8, 1.0078], [12, 1.0340], [16, 1.0614], [24, 1.1200], [28, 1.1513], [30, 1.1674], [40, 1.2555], [45, 1.3044]] },
  ],
};
