import { runEventShape } from '#core/log';
import { planShape } from '#core/plan';
import { fields, list } from '#core/shape';
import { runState } from '#core/state';
import { verb } from '../verb.ts';

export const run = verb({
  name: 'run',
  input: fields({ plan: planShape, events: list(runEventShape, 20_000) }),
  run: ({ plan, events }) => runState(plan, events),
  example: null,
});
