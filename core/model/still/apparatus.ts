import type { Apparatus } from '#matter/gear';

/** W that a hot flask of 1 L loses for each K over the air, by its surface; head and column for each K, bare; lagging leaves a third. Grade C. */
const FLASK_W_PER_K = 0.16;
const HEAD_W_PER_K = 0.08;
const LAGGED = 0.35;

export function flaskLossW({ flaskMl, lagged }: Apparatus, overAirK: number): number {
  return FLASK_W_PER_K * (flaskMl / 1000) ** (2 / 3) * (lagged ? LAGGED : 1) * Math.max(0, overAirK);
}

/** A column of more plates is longer. */
export function headLossW({ plates, lagged }: Apparatus, overAirK: number): number {
  return HEAD_W_PER_K * (0.7 + 0.3 * plates) * (lagged ? LAGGED : 1) * Math.max(0, overAirK);
}

/** J/(mL K) of water, over a minute: W for each mL/min and K. */
const WATER_W = 4.18 / 60;
/** A common 30 cm condenser passes about this much, W for each K between vapour and water. */
const JACKET_W_PER_K = 9;
/** The same in still air. */
const AIR_W_PER_K = 0.5;

/** W that a condenser takes at most from vapour of a temperature. Water may warm to 10 K under it. About, grade C. */
export function condenserW({ condenser }: Apparatus, vapourC: number, airC: number): number {
  if (condenser.by === 'air') return AIR_W_PER_K * Math.max(0, vapourC - airC);
  const { mlPerMin, inC } = condenser;
  const room = Math.max(0, vapourC - inC);
  const flow = WATER_W * mlPerMin;
  // What the jacket passes to water that warms as it goes.
  return flow <= 0 ? AIR_W_PER_K * room : flow * room * (1 - Math.exp(-JACKET_W_PER_K / flow));
}

/** °C at which the cooling water leaves when it carries so many W. */
export function waterOutC({ condenser }: Apparatus, watts: number): number | null {
  if (condenser.by === 'air' || condenser.mlPerMin <= 0) return null;
  return condenser.inC + watts / (WATER_W * condenser.mlPerMin);
}
