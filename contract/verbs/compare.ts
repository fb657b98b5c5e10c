import { runEventShape } from '#core/log';
import { planShape } from '#core/plan';
import { fields, list, number } from '#core/shape';
import { compareRuns } from '#core/state';
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
