import { day, fields, number, one, optional } from '#base/shape';
import { countries } from '#matter/gear';
import { viewOf } from '#matter/label';
import { shelvedShape } from '#matter/stock';
import { verb } from '../verb.ts';
import { exampleCard } from './example-card.ts';

export const bottle = verb({
  name: 'bottle',
  input: fields({
    ...shelvedShape.fields,
    tempC: number({ min: 0, max: 45 }),
    today: day(),
    country: optional(one(...countries)),
  }),
  run: ({ id, card, usedG, ...where }) => viewOf({ id, card, usedG }, where),
  example: {
    id: 'b1',
    usedG: 250,
    tempC: 16,
    today: '2026-03-14',
    card: exampleCard,
  },
});
