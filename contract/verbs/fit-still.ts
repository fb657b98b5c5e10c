import { must } from '#base/lookup';
import { fit, fitShape } from '#model/still';
import { verb } from '../verb.ts';
import { still } from './still.ts';

export const fitStill = verb({
  name: 'fitStill',
  input: fitShape,
  run: fit,
  example: {
    still: must(still.example, 'example'),
    pctSd: 0.5,
    platesSd: 0.3,
    heatSd: 0.2,
    readings: [
      { minutes: 0, headC: 106.6, potC: 106.7 },
      { minutes: 5, headC: 106.9, potC: 107, overMl: 21 },
      { minutes: 10, headC: 107.2, potC: 107.2, overMl: 42 },
      { minutes: 15, headC: 107.4, potC: 107.4, overMl: 63 },
    ],
  },
});
