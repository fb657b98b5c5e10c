import type { DensityTable } from '../density-table.ts';

/** 2-propanol in water: [mass %, g/mL] at each temperature. */
export const isopropanol: DensityTable = {
  id: 'isopropanol',
  formula: 'C3H8O',
  series: [
    { tempC: 20, grade: 'B', source: 'CRC Handbook, concentrative properties of aqueous solutions; ICT vol. III as tabulated in Perry\'s Chemical Engineers\' Handbook', points: [[1, 0.9960], [2, 0.9939], [3, 0.9920], [5, 0.9884], [6, 0.9871], [7, 0.9855], [8, 0.9843], [10, 0.9816], [20, 0.9696], [30, 0.9517], [50, 0.9069], [60, 0.8824], [70, 0.8584], [80, 0.8341], [100, 0.7855]] },
  ],
};
