import type { DensityTable } from '../density-table.ts';

/** ammonium chloride in water: [mass %, g/mL] at each temperature. */
export const NH4Cl: DensityTable = {
  id: 'NH4Cl',
  formula: 'NH4Cl',
  series: [
    { tempC: 0, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0033], [2, 1.0067], [4, 1.0135], [12, 1.0391], [16, 1.0510], [20, 1.0625], [24, 1.0736]] },
    { tempC: 10, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 1.0029], [4, 1.0126], [8, 1.0251], [12, 1.0370], [20, 1.0596], [24, 1.0705]] },
    { tempC: 20, grade: 'A', source: 'CRC Handbook, concentrative properties of aqueous solutions', points: [[1, 1.0013], [2, 1.0045], [3, 1.0076], [5, 1.0138], [6, 1.0168], [7, 1.0198], [9, 1.0257], [10, 1.0286], [12, 1.0344], [16, 1.0457], [18, 1.0512], [22, 1.0621], [24, 1.0674]] },
    { tempC: 30, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9987], [2, 1.0018], [4, 1.0077], [12, 1.0310], [16, 1.0422], [20, 1.0532], [24, 1.0641]] },
    { tempC: 50, grade: 'A', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9910], [4, 0.9999], [8, 1.0116], [12, 1.0231], [20, 1.0454], [24, 1.0564]] },
    { tempC: 80, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9749], [2, 0.9780], [4, 0.9842], [12, 1.0081], [16, 1.0198], [20, 1.0312], [24, 1.0426]] },
    { tempC: 100, grade: 'B', source: 'ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9617], [4, 0.9718], [8, 0.9849], [12, 0.9975], [20, 1.0213], [24, 1.0327]] },
  ],
};
