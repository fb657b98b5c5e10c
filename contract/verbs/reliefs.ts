import { fields, text } from '#core/shape';
import { reliefs as reliefsOf, weekShape } from '#core/week';
import { verb } from '../verb.ts';
import { weekExample } from './week-example.ts';

export const reliefs = verb({
  name: 'reliefs',
  input: fields({ week: weekShape, id: text(160) }),
  run: ({ week, id }) => reliefsOf(week, id),
  example: { week: weekExample, id: 'alum-cool' },
});
