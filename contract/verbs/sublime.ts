import { sublime as run, sublimeShape } from '#model/sublime';
import { verb } from '../verb.ts';

export const sublime = verb({
  name: 'sublime',
  input: sublimeShape,
  run,
  example: {
    substanceId: 'iodine',
    grams: 5,
    potC: 70,
    coverC: 5,
    dishCm2: 60,
    gapCm: 3,
    glass: 'borosilicate',
    hours: 2,
  },
});
