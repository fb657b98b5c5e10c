import type { MutualRow } from './rows.ts';

const source = 'CRC Handbook; IUPAC Solubility Data Series; Riddick, Bunger and Sakano';

/** Liquids that mix with water in part: mass % of the liquid in the water layer, of water in the liquid’s own. */
export const mutual: readonly MutualRow[] = [
  { liquid: 'ethyl-acetate', tempC: 20, inWater: [7.4, 8.0, 8.7], waterIn: [2.8, 3.0, 3.3], source, grade: 'A' },
  { liquid: 'isoamyl-acetate', tempC: 20, inWater: [0.15, 0.20, 0.25], waterIn: [0.8, 0.9, 1.2], source, grade: 'B' },
  { liquid: 'isoamyl-formate', tempC: 22, inWater: [0.2, 0.3, 0.5], waterIn: [0.7, 1.0, 1.5], source, grade: 'C' },
  { liquid: 'ethyl-salicylate', tempC: 25, inWater: [0.02, 0.03, 0.05], waterIn: [0.05, 0.1, 0.2], source, grade: 'C' },
  { liquid: 'isoamyl-alcohol', tempC: 25, inWater: [2.4, 2.6, 2.8], waterIn: [9.2, 9.6, 10], source, grade: 'A' },
];
