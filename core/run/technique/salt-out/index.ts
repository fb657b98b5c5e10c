import { technique } from '../technique.ts';
import { act } from './act.ts';
import { fields } from './op.ts';

/** Chloride chilled out of strong acid. */
export const saltOutCold = technique({
  says: 'chill until the salt has fallen',
  fields,
  counts: 'when done',
  act,
  advice: null,
  gives: { 'salt.down': 2, 'salt.left': 2 },
  takes: [],
  follows: [],
  hours: null,
  takesIn: null,
  coolsTo: null,
  names: ({ control }) => ({ controls: [control] }),
});
