import type { MixedSaltRow } from '../rows.ts';

/**
 * Sodium chloride in sodium hydroxide and in hydrochloric acid: how the common ion drives it out. Harvie, Moller and Weare
 * 1984 (25 °C) and caustic plant figures (20 °C, strong alkali).
 */
export const mixedSalts: readonly MixedSaltRow[] = [
  { added: 'NaOH', tempC: 25, molPerKgWater: 0, gSaltPer100gWater: 36, grade: 'A' },
  { added: 'NaOH', tempC: 25, molPerKgWater: 1, gSaltPer100gWater: 32.9, grade: 'B' },
  { added: 'NaOH', tempC: 25, molPerKgWater: 2, gSaltPer100gWater: 29.9, grade: 'B' },
  { added: 'NaOH', tempC: 25, molPerKgWater: 3, gSaltPer100gWater: 26.9, grade: 'B' },
  { added: 'NaOH', tempC: 25, molPerKgWater: 4, gSaltPer100gWater: 23.9, grade: 'B' },
  { added: 'NaOH', tempC: 25, molPerKgWater: 5, gSaltPer100gWater: 21.1, grade: 'B' },
  { added: 'NaOH', tempC: 25, molPerKgWater: 6, gSaltPer100gWater: 18.3, grade: 'B' },
  { added: 'NaOH', tempC: 25, molPerKgWater: 8, gSaltPer100gWater: 13.2, grade: 'C' },
  { added: 'NaOH', tempC: 25, molPerKgWater: 10, gSaltPer100gWater: 8.8, grade: 'C' },
  { added: 'HCl', tempC: 25, molPerKgWater: 0, gSaltPer100gWater: 36, grade: 'A' },
  { added: 'HCl', tempC: 25, molPerKgWater: 1, gSaltPer100gWater: 29.7, grade: 'B' },
  { added: 'HCl', tempC: 25, molPerKgWater: 2, gSaltPer100gWater: 23.7, grade: 'B' },
  { added: 'HCl', tempC: 25, molPerKgWater: 3, gSaltPer100gWater: 18.2, grade: 'B' },
  { added: 'HCl', tempC: 25, molPerKgWater: 4, gSaltPer100gWater: 13.3, grade: 'B' },
  { added: 'HCl', tempC: 25, molPerKgWater: 5, gSaltPer100gWater: 9.2, grade: 'C' },
  { added: 'HCl', tempC: 25, molPerKgWater: 6, gSaltPer100gWater: 6, grade: 'C' },
  { added: 'NaOH', tempC: 20, molPerKgWater: 11.5, gSaltPer100gWater: 6.9, grade: 'C' },
  { added: 'NaOH', tempC: 20, molPerKgWater: 14.0, gSaltPer100gWater: 4.2, grade: 'C' },
  { added: 'NaOH', tempC: 20, molPerKgWater: 17.1, gSaltPer100gWater: 2.7, grade: 'C' },
  { added: 'NaOH', tempC: 20, molPerKgWater: 20.9, gSaltPer100gWater: 2.2, grade: 'C' },
  { added: 'NaOH', tempC: 20, molPerKgWater: 25.5, gSaltPer100gWater: 2, grade: 'C' },
];
