import { fields } from '#base/shape';
import { planShape } from '#run/plan';
import { sheetOf } from '#run/sheet';
import { verb } from '../verb.ts';

export const sheet = verb({
  name: 'sheet',
  input: fields({ plan: planShape }),
  run: ({ plan }) => sheetOf(plan),
  example: null,
});
