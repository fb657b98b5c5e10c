import { ok } from '#base/problem';
import { day, fields, number } from '#base/shape';
import { faceOf, shelfShape } from '#matter/stock';
import { verb } from '../verb.ts';

export const shelf = verb({
  name: 'shelf',
  input: fields({ bottles: shelfShape, tempC: number({ min: 0, max: 45 }), today: day() }),
  run: ({ bottles, ...where }) => ok(bottles.map((each) => faceOf(each, where))),
  example: { bottles: [], tempC: 16, today: '2026-03-14' },
});
