import { fields, number } from '#base/shape';
import { fits as fitsIn, weekShape } from '#run/week';
import { verb } from '../verb.ts';
import { weekExample } from './week-example.ts';

export const fits = verb({
  name: 'fits',
  input: fields({
    week: weekShape,
    /** From when on, min from the beginning of the week, and for how long. */
    fromMin: number({ min: 0, max: 1_000_000 }),
    minutes: number({ min: 0, max: 1_000_000 }),
  }),
  run: ({ week, fromMin, minutes }) => fitsIn(week, [fromMin, fromMin + minutes]),
  example: { week: weekExample, fromMin: 1080, minutes: 120 },
});
