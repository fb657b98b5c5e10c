import { fields, flag, number, type Of, tagged } from '#base/shape';

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
