import type { VolatileRow } from '../still-rows.ts';

const handbook = 'CRC Handbook; Riddick, Bunger and Sakano, Organic Solvents';
const estimate = 'boiling point and rule of Trouton, so about 8 % at 60 °C below the boil';

/** What volatile liquids take to boil, and the vapour pressure of the pure ones. */
export const volatiles: readonly VolatileRow[] = [
  { id: 'water', boilKJ: 40.65, cp: 75.3, gPerMl: 0.9982, antoine: [8.07131, 1730.63, 233.426], source: handbook, grade: 'A' },
  { id: 'methanol', boilKJ: 35.2, cp: 81.1, gPerMl: 0.7914, antoine: [8.08097, 1582.271, 239.726], flashC: 11, lowerLimitPct: 6, source: handbook, grade: 'A' },
  { id: 'ethanol', boilKJ: 38.6, cp: 112.3, gPerMl: 0.7893, antoine: [8.1122, 1592.864, 226.184], flashC: 13, lowerLimitPct: 3.3, source: handbook, grade: 'A' },
  { id: 'isopropanol', boilKJ: 39.85, cp: 156.5, gPerMl: 0.7855, antoine: [8.11778, 1580.92, 219.61], flashC: 12, lowerLimitPct: 2, source: handbook, grade: 'A' },
  { id: 'acetone', boilKJ: 29.1, cp: 126.3, gPerMl: 0.7905, antoine: [7.11714, 1210.595, 229.664], flashC: -18, lowerLimitPct: 2.5, source: handbook, grade: 'A' },
  { id: 'ethyl-acetate', boilKJ: 31.9, cp: 170.7, gPerMl: 0.9006, antoine: [7.10179, 1244.95, 217.881], flashC: -4, lowerLimitPct: 2, source: handbook, grade: 'A' },
  { id: 'acetic-acid', boilKJ: 23.7, outKJ: 39, cp: 123.2, gPerMl: 1.0491, antoine: [7.55716, 1642.54, 233.386], flashC: 39, lowerLimitPct: 4, source: handbook, grade: 'A' },
  { id: 'formic-acid', boilKJ: 22.7, outKJ: 34.8, cp: 99, gPerMl: 1.22, antoine: [7.58178, 1699.173, 260.714], flashC: 50, lowerLimitPct: 18, source: handbook, grade: 'A' },
  { id: 'hydrochloric-acid', boilKJ: 16.15, outKJ: 62, cp: 59, source: 'slopes of partial pressures over 20 % acid', grade: 'B' },
  { id: 'nitric-acid', boilKJ: 36.5, outKJ: 39, cp: 109.9, gPerMl: 1.513, antoine: [7.5119, 1406, 221], source: 'handbook correlation', grade: 'B' },
  { id: 'sulfuric-acid', boilKJ: 84, cp: 138.9, gPerMl: 1.84, source: 'slope of vapour pressure near 100 °C', grade: 'C' },
  { id: 'ammonia', boilKJ: 23.3, outKJ: 34, cp: 80.8, source: 'slopes of partial pressures over its solutions', grade: 'B' },
  { id: 'isoamyl-alcohol', boilKJ: 44.1, cp: 210, gPerMl: 0.8092, antoine: [7.0147, 1163.7, 150.4], flashC: 43, lowerLimitPct: 1.2, source: handbook, grade: 'C' },
  { id: 'isoamyl-formate', boilKJ: 38, cp: 225, gPerMl: 0.882, antoine: [7.1713, 1456.2, 215.4], flashC: 26, lowerLimitPct: 1.2, source: estimate, grade: 'C' },
  { id: 'isoamyl-acetate', boilKJ: 37.5, cp: 249, gPerMl: 0.8719, antoine: [7.1971, 1528.4, 212], flashC: 25, lowerLimitPct: 1, source: estimate, grade: 'C' },
  { id: 'ethyl-salicylate', boilKJ: 48, cp: 275, gPerMl: 1.1326, antoine: [7.2979, 1889.2, 194.7], flashC: 107, source: estimate, grade: 'C' },
];
