import { technique } from '../technique.ts';
import { act } from './act.ts';
import { advice } from './advice.ts';
import { fields } from './op.ts';

/** The clear liquor is poured off what has settled. */
export const decant = technique({
  says: 'decant',
  fields,
  counts: 'when done',
  act,
  advice,
  gives: { 'decanted.volume': 2 },
  takes: [],
  follows: [],
  hours: null,
  takesIn: null,
  coolsTo: null,
  names: () => ({}),
});
