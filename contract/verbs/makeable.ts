import { day, fields, list, optional } from '#base/shape';
import { BenchDefaults, benchShape } from '#matter/gear';
import { shelfShape } from '#matter/stock';
import { makeableFrom } from '#run/choose';
import { routeShape } from '#run/route';
import { verb } from '../verb.ts';

export const makeable = verb({
  name: 'makeable',
  input: fields({ shelf: shelfShape, bench: benchShape, today: day(), routes: optional(list(routeShape, 200)) }),
  run: makeableFrom,
  example: { shelf: [], bench: BenchDefaults, today: '2026-03-14' },
});
