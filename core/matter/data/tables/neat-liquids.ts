import type { NeatLiquidRow } from '../still-rows.ts';

const source = 'CRC Handbook; Riddick, Bunger and Sakano, Organic Solvents';

/** Liquids sold neat, of whose mixtures no table is held: g/mL at 20 °C, and what a kelvin changes. */
export const neatLiquids: readonly NeatLiquidRow[] = [
  { id: 'methanol', gPerMl: 0.7914, perK: -0.00095, source, grade: 'A' },
  { id: 'isoamyl-alcohol', gPerMl: 0.8092, perK: -0.00074, source, grade: 'A' },
  { id: 'ethylene-glycol', gPerMl: 1.1135, perK: -0.00070, source, grade: 'A' },
  { id: 'propylene-glycol', gPerMl: 1.0364, perK: -0.00073, source, grade: 'B' },
  { id: 'glycerol', gPerMl: 1.2613, perK: -0.00065, source, grade: 'B' },
  { id: 'isoamyl-formate', gPerMl: 0.882, perK: -0.00098, source, grade: 'C' },
  { id: 'ethyl-acetate', gPerMl: 0.9006, perK: -0.00122, source, grade: 'A' },
  { id: 'isoamyl-acetate', gPerMl: 0.8719, perK: -0.00096, source, grade: 'B' },
  { id: 'ethyl-salicylate', gPerMl: 1.1326, perK: -0.00092, source, grade: 'C' },
];
