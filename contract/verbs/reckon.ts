import { reckon as computeLine } from '#ask/reckon';
import { fields, note } from '#base/shape';
import { verb } from '../verb.ts';

export const reckon = verb({
  name: 'reckon',
  input: fields({ text: note(2000) }),
  run: ({ text }) => computeLine(text),
  example: { text: '28% HCl in mol/L' },
});
