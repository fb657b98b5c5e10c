import { fields, text } from '#base/shape';
import { reliefs as reliefsOf, weekShape } from '#run/week';
import { verb } from '../verb.ts';
import { weekExample } from './week-example.ts';

export const reliefs = verb({
  name: 'reliefs',
  input: fields({ week: weekShape, id: text(160) }),
  run: ({ week, id }) => reliefsOf(week, id),
  example: { week: weekExample, id: 'alum-cool' },
});
