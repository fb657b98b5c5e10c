import { AS_IT_REALLY_IS } from '../facts.ts';
import { technique } from '../technique.ts';
import { act } from './act.ts';
import { fields } from './op.ts';

/** Water to a volume. */
export const makeUp = technique({
  says: 'make up',
  fields,
  counts: 'when done',
  besidesFirst: AS_IT_REALLY_IS,
  act,
  advice: null,
  gives: { 'made.volume': 4, 'made.mass': 4, 'made.strength': 3, 'made.filled': 4, 'made.pct': 3, 'made.water': 3 },
  takes: ['volume', 'density'],
  follows: [],
  hours: null,
  takesIn: null,
  coolsTo: null,
  names: () => ({}),
});
