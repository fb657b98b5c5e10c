import { ok } from '#base/problem';
import { day, fields, note, number } from '#base/shape';
import { labelView } from '#matter/label';
import { verb } from '../verb.ts';

export const label = verb({
  name: 'label',
  input: fields({ text: note(2000), today: day(), tempC: number({ min: 0, max: 45 }) }),
  run: ({ text, ...where }) => ok(labelView(text, where)),
  example: { text: 'washing soda crystals 1kg', today: '2026-03-14', tempC: 20 },
});
