import { USUAL_STILL } from '#matter/gear';
import { still as run, stillShape } from '#model/still';
import { verb } from '../verb.ts';

export const still = verb({
  name: 'still',
  input: stillShape,
  run,
  example: {
    first: 'hydrochloric-acid',
    second: 'water',
    pressureHPa: 994,
    grams: 650,
    pct: 18,
    staying: [],
    apparatus: USUAL_STILL,
    airC: 16,
    wanted: { by: 'strength', pct: 20 },
  },
});
