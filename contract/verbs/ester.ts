import { esterShape, ester as run } from '#model/ester';
import { verb } from '../verb.ts';

export const ester = verb({
  name: 'ester',
  input: esterShape,
  run,
  example: {
    acid: { substanceId: 'formic-acid', grams: 32.5, pct: 85 },
    alcohol: { substanceId: 'isoamyl-alcohol', grams: 44, pct: 100 },
    catalyst: { substanceId: 'sulfuric-acid', grams: 1, pct: 96 },
    tempC: 60,
    hours: 2,
    waterOffG: 0,
  },
});
