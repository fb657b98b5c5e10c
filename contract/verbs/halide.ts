import { halideCourse, halideShape } from '#model/rate';
import { verb } from '../verb.ts';

export const halide = verb({
  name: 'halide',
  input: halideShape,
  run: halideCourse,
  example: {
    halide: 'bromide',
    halideM: 1.2,
    acidM: 3,
    sulfateM: 1.5,
    peroxideM: 0.8,
    tempC: 20,
    hours: 12,
  },
});
