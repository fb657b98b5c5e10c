import { technique } from '../technique.ts';
import { act } from './act.ts';
import { advice } from './advice.ts';
import { fields } from './op.ts';

/** A precipitate grows and settles. */
export const precipitate = technique({
  says: 'let settle',
  fields,
  counts: 'when done',
  act,
  advice,
  gives: { 'crystals.mass': 3, 'liquor.volume': 2 },
  takes: [],
  follows: [],
  hours: null,
  takesIn: null,
  coolsTo: null,
  names: () => ({}),
});
