import type { DensityTable } from '../density-table.ts';

/** zinc chloride in water: [mass %, g/mL] at each temperature. */
export const ZnCl2: DensityTable = {
  id: 'ZnCl2',
  formula: 'ZnCl2',
  series: [
    { tempC: 0, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[2, 1.0192], [4, 1.0384], [8, 1.0769], [16, 1.1558], [20, 1.1970], [30, 1.3062], [40, 1.4329], [50, 1.5860]] },
    { tempC: 20, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[2, 1.0167], [8, 1.0715], [12, 1.1085], [20, 1.1866], [30, 1.2928], [40, 1.4173], [60, 1.7490], [70, 1.9620]] },
    { tempC: 40, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[2, 1.0099], [4, 1.0274], [8, 1.0624], [16, 1.1350], [20, 1.1736], [30, 1.2778], [40, 1.4003], [50, 1.5495]] },
    { tempC: 60, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[2, 1.0003], [8, 1.0508], [12, 1.0853], [20, 1.1590], [30, 1.2614], [40, 1.3824], [50, 1.5300]] },
    { tempC: 80, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[2, 0.9882], [8, 1.0369], [12, 1.0704], [20, 1.1428], [30, 1.2438], [40, 1.3637], [50, 1.5097]] },
    { tempC: 100, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[2, 0.9739], [8, 1.0211], [12, 1.0541], [16, 1.0888], [30, 1.2252], [40, 1.3441], [50, 1.4892]] },
  ],
};
