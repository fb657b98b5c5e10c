import { presentShape } from '#core/guard';
import { day, fields, list, number } from '#core/shape';
import { clashOnAdding } from '#core/state';
import { shelvedShape } from '#core/stock';
import { verb } from '../verb.ts';

export const clash = verb({
  name: 'clash',
  input: fields({
    present: list(presentShape, 200),
    bottle: shelvedShape,
    tempC: number({ min: 0, max: 45 }),
    today: day(),
  }),
  run: clashOnAdding,
  example: {
    present: [{ substanceId: 'sodium-hypochlorite', pct: 5 }],
    bottle: {
      id: 'b1',
      usedG: 0,
      card: {
        name: 'Patio acid',
        substanceId: 'hydrochloric-acid',
        strength: { value: 28, unit: 'w/w' },
        others: [],
        strengthBand: null,
        assayed: false,
        size: { value: 5000, unit: 'mL' },
        price: 11.5,
        container: 'jug',
        group: 'bought',
        since: '2026-01-10',
        labelText: '',
        fromBatch: null,
        note: '',
      },
    },
    tempC: 16,
    today: '2026-03-14',
  },
});
