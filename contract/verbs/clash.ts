import { day, fields, list, number } from '#base/shape';
import { presentShape } from '#matter/guard';
import { shelvedShape } from '#matter/stock';
import { clashOnAdding } from '#run/state';
import { verb } from '../verb.ts';
import { exampleCard } from './example-card.ts';

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
      card: exampleCard,
    },
    tempC: 16,
    today: '2026-03-14',
  },
});
