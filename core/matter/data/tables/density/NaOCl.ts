import type { DensityTable } from '../density-table.ts';

/** sodium hypochlorite (as sold, with equimolar NaCl) in water: [mass %, g/mL] at each temperature. */
export const NaOCl: DensityTable = {
  id: 'NaOCl',
  formula: 'NaOCl',
  series: [
    { tempC: 20, grade: 'C', source: 'trade bleach data, typical of product with equimolar NaCl and little free NaOH', points: [[3, 1.045], [5, 1.075], [6, 1.09], [8, 1.12], [10, 1.155], [12.5, 1.2], [15, 1.235]] },
  ],
};
