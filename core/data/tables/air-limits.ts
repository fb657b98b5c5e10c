import type { AirLimitRow } from '../rows.ts';

/** What air may hold of a gas, ppm: over a working day, for a quarter of an hour or never, and where it kills. NIOSH; ACGIH for Cl2 and NO2. */
export const airLimits: readonly AirLimitRow[] = [
  { formula: 'HCl', day: null, short: 5, kills: 50, burnsPct: null },
  { formula: 'NH3', day: 25, short: 35, kills: 300, burnsPct: 15 },
  { formula: 'Cl2', day: 0.1, short: 0.5, kills: 10, burnsPct: null },
  { formula: 'SO2', day: 2, short: 5, kills: 100, burnsPct: null },
  { formula: 'NO2', day: 0.2, short: 1, kills: 13, burnsPct: null },
  { formula: 'NO', day: 25, short: null, kills: 100, burnsPct: null },
  { formula: 'CO2', day: 5000, short: 30000, kills: 40000, burnsPct: null },
  { formula: 'Br2', day: 0.1, short: 0.3, kills: 3, burnsPct: null },
  { formula: 'I2', day: null, short: 0.1, kills: 2, burnsPct: null },
  { formula: 'CO', day: 35, short: 200, kills: 1200, burnsPct: 12.5 },
  { formula: 'O3', day: null, short: 0.1, kills: 5, burnsPct: null },
  { formula: 'H2', day: null, short: null, kills: null, burnsPct: 4 },
];
