import { technique } from '../technique.ts';
import { act } from './act.ts';
import { advice } from './advice.ts';
import { fields } from './op.ts';

/** Distilled into a receiver, to a share of the charge or a temperature of the flask. */
export const distilOver = technique({
  says: 'distil',
  deed: 'distil',
  fields,
  counts: 'when done',
  act,
  advice,
  gives: {
    'distil.volume': 3,
    'distil.head': 4,
    'distil.pot': 4,
    'distil.from': 4,
    'distil.minutes': 2,
    'still.over': 3,
    'still.charge': 3,
    'still.left': 3,
    'product.mass': 3,
    'product.all': 3,
    'product.pct': 3,
    'product.volume': 3,
  },
  takes: ['volume', 'mass', 'strength'],
  follows: [],
  hours: ({ figures }) => {
    const minutes = figures['distil.minutes']?.value;
    return minutes === undefined ? null : [(0.85 * minutes) / 60, (1.3 * minutes) / 60];
  },
  takesIn: null,
  coolsTo: null,
  names: ({ control }) => ({ controls: [control] }),
});
