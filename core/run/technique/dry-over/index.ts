import { technique } from '../technique.ts';
import { act } from './act.ts';
import { fields } from './op.ts';

/** A liquid dried over a salt, and filtered off it. */
export const dryOver = technique({
  says: 'dry it over the agent',
  fields,
  counts: 'when done',
  act,
  advice: null,
  gives: {
    'dried.water': 2,
    'dried.hours': 2,
    'product.mass': 3,
    'product.all': 3,
    'product.pct': 4,
    'product.volume': 3,
  },
  takes: ['mass', 'volume'],
  follows: [],
  hours: ({ figures }) => {
    const hours = figures['dried.hours']?.value;
    return hours === undefined ? null : [hours / 2, hours];
  },
  takesIn: null,
  coolsTo: null,
  names: ({ role }) => ({ roles: [role] }),
});
