import { saltedOut, saltedOutShape } from '#model/dish';
import { verb } from '../verb.ts';

export const saltout = verb({
  name: 'saltout',
  input: saltedOutShape,
  run: saltedOut,
  example: { added: 'NaOH', saltG: 30, waterG: 100, addedG: 40 },
});
