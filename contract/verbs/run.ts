import { fields, list } from '#base/shape';
import { runEventShape } from '#run/log';
import { planShape } from '#run/plan';
import { runState } from '#run/state';
import { verb } from '../verb.ts';

export const run = verb({
  name: 'run',
  input: fields({ plan: planShape, events: list(runEventShape, 20_000) }),
  run: ({ plan, events }) => runState(plan, events),
  example: null,
});
