import { technique } from '../technique.ts';
import { act, takesIn } from './act.ts';
import { fields } from './op.ts';

/** What was caught goes back into solution. */
export const redissolve = technique({
  says: 'redissolve',
  fields,
  counts: 'when done',
  act,
  advice: null,
  gives: {},
  takes: [],
  follows: [],
  hours: null,
  takesIn,
  coolsTo: null,
  names: () => ({}),
});
