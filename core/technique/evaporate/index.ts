import { technique } from '../technique.ts';
import { act } from './act.ts';
import { fields } from './op.ts';

/** Left to evaporate, to a share of its water. */
export const evaporate = technique({
  says: 'leave to evaporate',
  fields,
  counts: 'when done',
  act,
  advice: null,
  gives: { 'dish.volume': 2, 'dish.away': 2 },
  takes: ['volume'],
  follows: [{ quantity: 'volume', course: 'steady', of: 'the volume', goal: 'dish.volume' }],
  hours: null,
  takesIn: null,
  coolsTo: null,
  names: ({ control }) => ({ controls: [control] }),
});
