import { day, fields, number, one, text } from '#base/shape';
import { ageingOfBottle, cardShape } from '#matter/stock';
import { verb } from '../verb.ts';

export const ageing = verb({
  name: 'ageing',
  input: fields({
    id: text(60),
    card: cardShape,
    today: day(),
    tempC: number({ min: 0, max: 45 }),
    light: one('dark', 'daylight'),
  }),
  run: ({ id, card, light, ...where }) => ageingOfBottle({ id, card }, where, light),
  example: {
    id: 'b1',
    today: '2026-06-10',
    tempC: 16,
    light: 'dark',
    card: {
      name: 'Pool brightener',
      substanceId: 'sodium-hypochlorite',
      strength: { value: 12.5, unit: 'w/w' },
      others: [],
      strengthBand: null,
      assayed: false,
      size: { value: 2000, unit: 'mL' },
      price: null,
      container: 'bottle',
      group: 'bought',
      since: '2026-02-10',
      labelText: '',
      fromBatch: null,
      note: '',
    },
  },
});
