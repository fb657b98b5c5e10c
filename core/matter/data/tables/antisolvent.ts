import type { AntisolventRow } from '../rows.ts';

/**
 * Salts in mixtures of ethanol and water, g per 100 g of the mixed solvent. Potassium nitrate after Bathrick (1896), as
 * tabulated in Seidell, Solubilities of Inorganic and Metal Organic Compounds; the chlorides rounded from Pinho and Macedo,
 * J. Chem. Eng. Data 50 (2005) 29. Set down from knowledge of these tables, not re-read: grade C, good to about 15 %.
 */
export const antisolvents: readonly AntisolventRow[] = [
  { formula: 'KNO3', tempC: 30, ethanolPct: 0, gPer100g: 45.6, grade: 'C' },
  { formula: 'KNO3', tempC: 30, ethanolPct: 8.25, gPer100g: 32.3, grade: 'C' },
  { formula: 'KNO3', tempC: 30, ethanolPct: 17, gPer100g: 22.4, grade: 'C' },
  { formula: 'KNO3', tempC: 30, ethanolPct: 25.7, gPer100g: 15.1, grade: 'C' },
  { formula: 'KNO3', tempC: 30, ethanolPct: 35, gPer100g: 10.5, grade: 'C' },
  { formula: 'KNO3', tempC: 30, ethanolPct: 44.9, gPer100g: 7, grade: 'C' },
  { formula: 'KNO3', tempC: 30, ethanolPct: 54.3, gPer100g: 4.5, grade: 'C' },
  { formula: 'KNO3', tempC: 30, ethanolPct: 65, gPer100g: 2.7, grade: 'C' },
  { formula: 'KNO3', tempC: 30, ethanolPct: 75.6, gPer100g: 1.3, grade: 'C' },
  { formula: 'KNO3', tempC: 30, ethanolPct: 88, gPer100g: 0.4, grade: 'C' },
  { formula: 'NaCl', tempC: 25, ethanolPct: 0, gPer100g: 36, grade: 'C' },
  { formula: 'NaCl', tempC: 25, ethanolPct: 10, gPer100g: 29.6, grade: 'C' },
  { formula: 'NaCl', tempC: 25, ethanolPct: 20, gPer100g: 23.9, grade: 'C' },
  { formula: 'NaCl', tempC: 25, ethanolPct: 40, gPer100g: 14, grade: 'C' },
  { formula: 'NaCl', tempC: 25, ethanolPct: 60, gPer100g: 6.8, grade: 'C' },
  { formula: 'NaCl', tempC: 25, ethanolPct: 80, gPer100g: 2.1, grade: 'C' },
  { formula: 'NaCl', tempC: 25, ethanolPct: 90, gPer100g: 0.7, grade: 'C' },
  { formula: 'KCl', tempC: 25, ethanolPct: 0, gPer100g: 35.5, grade: 'C' },
  { formula: 'KCl', tempC: 25, ethanolPct: 10, gPer100g: 27.3, grade: 'C' },
  { formula: 'KCl', tempC: 25, ethanolPct: 20, gPer100g: 20.2, grade: 'C' },
  { formula: 'KCl', tempC: 25, ethanolPct: 40, gPer100g: 10.2, grade: 'C' },
  { formula: 'KCl', tempC: 25, ethanolPct: 60, gPer100g: 4.1, grade: 'C' },
  { formula: 'KCl', tempC: 25, ethanolPct: 80, gPer100g: 1, grade: 'C' },
];
