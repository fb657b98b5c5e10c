import { fields, list, nullable, number, text } from '#base/shape';
import { runEventShape } from '#run/log';
import { chainYield as yieldOf } from '#run/outcome';
import { planShape } from '#run/plan';
import { verb } from '../verb.ts';

export const chainYield = verb({
  name: 'chainYield',
  input: fields({
    runs: list(
      fields({
        id: text(60),
        number: number({ min: 1, whole: true }),
        plan: planShape,
        events: list(runEventShape, 20_000),
      }),
      8,
      1,
    ),
    basis: nullable(text(40)),
  }),
  run: ({ runs, basis }) => yieldOf(runs, basis),
  example: null,
});
