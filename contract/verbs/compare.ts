import { fields, list, number } from '#base/shape';
import { runEventShape } from '#run/log';
import { planShape } from '#run/plan';
import { compareRuns } from '#run/state';
import { verb } from '../verb.ts';

export const compare = verb({
  name: 'compare',
  input: fields({
    attempts: list(
      fields({ number: number({ min: 1, whole: true }), plan: planShape, events: list(runEventShape, 20_000) }),
      6,
    ),
  }),
  run: ({ attempts }) => compareRuns(attempts),
  example: null,
});
