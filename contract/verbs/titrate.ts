import { fields, list, number, text } from '#base/shape';
import { titrate as run } from '#matter/equilibrium';
import { verb } from '../verb.ts';

const dissolved = fields({ substanceId: text(240), molPerL: number({ min: 0, max: 2 }) });

export const titrate = verb({
  name: 'titrate',
  input: fields({
    sample: list(dissolved, 6, 1),
    sampleMl: number({ moreThan: 0, max: 100_000 }),
    titrant: dissolved,
    tempC: number({ min: 0, max: 60 }),
    points: number({ min: 2, max: 2000, whole: true }),
  }),
  run,
  example: {
    sample: [{ substanceId: 'acetic-acid', molPerL: 0.1 }],
    sampleMl: 25,
    titrant: { substanceId: 'sodium-hydroxide', molPerL: 0.1 },
    tempC: 20,
    points: 100,
  },
});
