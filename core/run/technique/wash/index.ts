import { changesNothing } from '../nothing.ts';
import { technique } from '../technique.ts';
import { advice } from './advice.ts';
import { fields } from './op.ts';

/** A cake washed with portions of water. */
export const wash = technique({
  says: 'wash',
  fields,
  counts: 'when done',
  act: changesNothing,
  advice,
  gives: {},
  takes: ['conductivity', 'pH'],
  follows: [],
  hours: null,
  takesIn: null,
  coolsTo: null,
  names: () => ({}),
});
