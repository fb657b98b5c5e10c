import { fields, flag, number, type Of, tagged } from '#core/shape';

/** One's own still. */
export const apparatusShape = fields({
  flaskMl: number({ moreThan: 0, max: 50_000 }),
  /** Theoretical plates, the boiling flask counted as the first: a bare head acts as 1 to 1.6. */
  plates: number({ min: 1, max: 40 }),
  /** Drops sent back for each taken off; 0 for a simple still. */
  reflux: number({ min: 0, max: 100 }),
  /** mL that hang in column and head while it runs. */
  holdupMl: number({ min: 0, max: 2000 }),
  heaterW: number({ min: 0, max: 5000 }),
  /** Of the heater’s power that reaches the flask, 0 to 1. */
  heatShare: number({ moreThan: 0, max: 1 }),
  /** Head and column wrapped. */
  lagged: flag(),
  condenser: tagged('by', {
    water: { mlPerMin: number({ min: 0, max: 20_000 }), inC: number({ min: 0, max: 40 }) },
    air: {},
  }),
  thermometer: fields({ minC: number({ min: -50, max: 400 }), maxC: number({ min: -50, max: 500 }) }),
});
export type Apparatus = Of<typeof apparatusShape>;

/** A bare head on a litre flask, a mantle, tap water. */
export const USUAL_STILL: Apparatus = {
  flaskMl: 1000,
  plates: 1.3,
  reflux: 0,
  holdupMl: 3,
  heaterW: 240,
  heatShare: 0.8,
  lagged: false,
  condenser: { by: 'water', mlPerMin: 500, inC: 12 },
  thermometer: { minC: -10, maxC: 150 },
};

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
