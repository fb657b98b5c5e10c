import { testsFor } from '#core/assay';
import { ok } from '#core/problem';
import { fields, text } from '#core/shape';
import { verb } from '../verb.ts';

export const tests = verb({
  name: 'tests',
  input: fields({ substanceId: text(240) }),
  run: ({ substanceId }) => ok(testsFor(substanceId)),
  example: { substanceId: 'copper-sulfate-pentahydrate' },
});
