import { planShape } from '#core/plan';
import { fields } from '#core/shape';
import { sheetOf } from '#core/sheet';
import { verb } from '../verb.ts';

export const sheet = verb({
  name: 'sheet',
  input: fields({ plan: planShape }),
  run: ({ plan }) => sheetOf(plan),
  example: null,
});
