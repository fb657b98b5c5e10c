import { ok } from '#base/problem';
import { fields, text } from '#base/shape';
import { testsFor } from '#model/assay';
import { verb } from '../verb.ts';

export const tests = verb({
  name: 'tests',
  input: fields({ substanceId: text(240) }),
  run: ({ substanceId }) => ok(testsFor(substanceId)),
  example: { substanceId: 'copper-sulfate-pentahydrate' },
});
