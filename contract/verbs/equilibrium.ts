import { fields, list, number, one, text } from '#base/shape';
import { phOf } from '#matter/equilibrium';
import { verb } from '../verb.ts';

export const equilibrium = verb({
  name: 'equilibrium',
  input: fields({
    dissolved: list(fields({ substanceId: text(240), molPerL: number({ min: 0, max: 2 }) }), 12),
    tempC: number({ min: 0, max: 60 }),
    activity: one('davies', 'none'),
  }),
  run: ({ dissolved, tempC, activity }) => phOf(dissolved, tempC, activity),
  example: {
    dissolved: [
      { substanceId: 'acetic-acid', molPerL: 0.1 },
      { substanceId: 'sodium-acetate', molPerL: 0.1 },
    ],
    tempC: 25,
    activity: 'davies',
  },
});
