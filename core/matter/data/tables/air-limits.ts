import type { AirLimitRow } from '../rows.ts';

/** What air may hold of a gas, ppm: over a working day, for a quarter of an hour or never, and where it kills. NIOSH; ACGIH for Cl2, NO2, acetone and ethanol. */
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
  { formula: 'H2S', day: 1, short: 10, kills: 50, burnsPct: 4 },
  { formula: 'ClO2', day: 0.1, short: 0.3, kills: 5, burnsPct: null },
  { formula: 'CO', day: 35, short: 200, kills: 1200, burnsPct: 12.5 },
  { formula: 'O3', day: null, short: 0.1, kills: 5, burnsPct: null },
  { formula: 'HNO3', day: 2, short: 4, kills: 25, burnsPct: null },
  { formula: 'CH3COOH', day: 10, short: 15, kills: 50, burnsPct: 4 },
  { formula: 'HCOOH', day: 5, short: 10, kills: 30, burnsPct: 18 },
  { formula: 'C2H5OH', day: 1000, short: 1000, kills: 3300, burnsPct: 3.3 },
  { formula: 'C3H7OH', day: 400, short: 500, kills: 2000, burnsPct: 2 },
  { formula: 'CH3COCH3', day: 250, short: 500, kills: 2500, burnsPct: 2.5 },
  { formula: 'CH3OH', day: 200, short: 250, kills: 6000, burnsPct: 6 },
  { formula: 'C4H8O2', day: 400, short: 400, kills: 2000, burnsPct: 2 },
  { formula: 'C5H12O', day: 100, short: 125, kills: 500, burnsPct: 1.2 },
  { formula: 'H2', day: null, short: null, kills: null, burnsPct: 4 },
];
