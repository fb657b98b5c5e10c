import { changesNothing } from '../nothing.ts';
import { technique } from '../technique.ts';
import { fields } from './op.ts';

/** Kept as it is for a while. */
export const hold = technique({
  says: 'hold',
  fields,
  counts: 'when done',
  act: changesNothing,
  advice: null,
  gives: {},
  takes: [],
  follows: [
    { quantity: 'left', course: 'dissolving', of: 'what is left' },
    { quantity: 'current', course: 'decay', of: 'the current' },
  ],
  hours: null,
  takesIn: null,
  coolsTo: null,
  names: () => ({}),
});
