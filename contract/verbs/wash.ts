import { washing, washingShape } from '#model/wash';
import { verb } from '../verb.ts';

export const wash = verb({
  name: 'wash',
  input: washingShape,
  run: washing,
  example: {
    retainedMl: 20,
    portionMl: 50,
    goalPct: 2,
    productGPer100Ml: 0.1,
    readings: [
      { portion: 1, value: 4000 },
      { portion: 2, value: 1100 },
    ],
    goalReading: 100,
    quantity: 'conductivity',
  },
});
