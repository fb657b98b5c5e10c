import { technique } from '../technique.ts';
import { act } from './act.ts';
import { advice } from './advice.ts';
import { fields } from './op.ts';

export type { InLayer, SeparateAdvice } from './advice.ts';

/** Two layers part, and the water is run off. */
export const separate = technique({
  says: 'part the layers',
  fields,
  counts: 'when done',
  act,
  advice,
  gives: {
    'layer.mass': 3,
    'layer.volume': 3,
    'layer.lost': 2,
    'layer.gap': 2,
    'product.mass': 3,
    'product.all': 3,
    'product.pct': 4,
    'product.volume': 3,
  },
  takes: ['mass', 'volume'],
  follows: [],
  hours: null,
  besidesFirst: true,
  takesIn: null,
  coolsTo: null,
  names: () => ({}),
});
