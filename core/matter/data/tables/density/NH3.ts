import type { DensityTable } from '../density-table.ts';

/** ammonia (ammonia water) in water: [mass %, g/mL] at each temperature. */
export const NH3: DensityTable = {
  id: 'NH3',
  formula: 'NH3',
  series: [
    { tempC: 0, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9954], [2, 0.9915], [4, 0.9840], [12, 0.9571], [16, 0.9450], [20, 0.9335], [28, 0.9122], [30, 0.9070]] },
    { tempC: 10, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9958], [2, 0.9917], [4, 0.9837], [12, 0.9548], [16, 0.9420], [20, 0.9296], [24, 0.9179], [30, 0.9012]] },
    { tempC: 20, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9939], [2, 0.9895], [4, 0.9811], [6, 0.9730], [10, 0.9575], [12, 0.9501], [14, 0.9430], [18, 0.9295], [20, 0.9229], [22, 0.9164], [26, 0.9040], [28, 0.8980], [30, 0.8920]] },
    { tempC: 25, grade: 'C', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook (three decimals only)', points: [[1, 0.993], [2, 0.988], [4, 0.98], [8, 0.964], [12, 0.948]] },
  ],
};
