import { makeableFrom } from '#core/choose';
import { routeShape } from '#core/route';
import { day, fields, list, optional } from '#core/shape';
import { shelfShape } from '#core/stock';
import { BenchDefaults, benchShape } from '#core/vessel';
import { verb } from '../verb.ts';

export const makeable = verb({
  name: 'makeable',
  input: fields({ shelf: shelfShape, bench: benchShape, today: day(), routes: optional(list(routeShape, 200)) }),
  run: makeableFrom,
  example: { shelf: [], bench: BenchDefaults, today: '2026-03-14' },
});
