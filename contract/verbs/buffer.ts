import { bufferFromShelf } from '#ask/sums';
import { day, fields, number, text } from '#base/shape';
import { shelfShape } from '#matter/stock';
import { verb } from '../verb.ts';

export const buffer = verb({
  name: 'buffer',
  input: fields({
    substanceId: text(240),
    pH: number({ min: 0, max: 14 }),
    molPerL: number({ moreThan: 0, max: 2 }),
    volumeMl: number({ moreThan: 0, max: 100_000 }),
    tempC: number({ min: 0, max: 60 }),
    shelf: shelfShape,
    day: day(),
  }),
  run: ({ shelf, day: on, ...asked }) => bufferFromShelf(asked, { bottles: shelf, day: on }),
  example: { substanceId: 'ammonia', pH: 10, molPerL: 0.5, volumeMl: 250, tempC: 25, shelf: [], day: '2026-03-14' },
});
