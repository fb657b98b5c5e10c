import { runEventShape } from '#core/log';
import { planShape } from '#core/plan';
import { fields, instant, list, text } from '#core/shape';
import { advise as adviseAt } from '#core/state';
import { verb } from '../verb.ts';

export const advise = verb({
  name: 'advise',
  input: fields({ plan: planShape, events: list(runEventShape, 20_000), step: text(60), now: instant() }),
  run: ({ plan, events, step, now }) => adviseAt(plan, events, step, now),
  example: null,
});
