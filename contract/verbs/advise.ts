import { fields, instant, list, text } from '#base/shape';
import { runEventShape } from '#run/log';
import { planShape } from '#run/plan';
import { advise as adviseAt } from '#run/state';
import { verb } from '../verb.ts';

export const advise = verb({
  name: 'advise',
  input: fields({ plan: planShape, events: list(runEventShape, 20_000), step: text(60), now: instant() }),
  run: ({ plan, events, step, now }) => adviseAt(plan, events, step, now),
  example: null,
});
