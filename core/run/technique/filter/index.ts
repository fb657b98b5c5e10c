import { technique } from '../technique.ts';
import { act } from './act.ts';
import { advice } from './advice.ts';
import { fields } from './op.ts';

/** Through a paper or a cloth: the solid is kept, or the filtrate. */
export const filter = technique({
  says: 'filter',
  fields,
  counts: 'when done',
  act,
  advice,
  gives: { 'product.mass': 3, 'liquor.volume': 2, 'product.all': 3, 'product.pct': 3, 'product.volume': 3 },
  takes: ['volume', 'mass'],
  follows: [],
  hours: null,
  besidesFirst: true,
  takesIn: null,
  coolsTo: null,
  names: () => ({}),
});
