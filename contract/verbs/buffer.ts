import { bufferRecipe } from '#core/equilibrium';
import { fields, number, text } from '#core/shape';
import { verb } from '../verb.ts';

export const buffer = verb({
  name: 'buffer',
  input: fields({
    substanceId: text(240),
    pH: number({ min: 0, max: 14 }),
    molPerL: number({ moreThan: 0, max: 2 }),
    volumeMl: number({ moreThan: 0, max: 100_000 }),
    tempC: number({ min: 0, max: 60 }),
  }),
  run: ({ volumeMl, ...asked }) => bufferRecipe(asked, volumeMl),
  example: { substanceId: 'ammonia', pH: 10, molPerL: 0.5, volumeMl: 250, tempC: 25 },
});
