import { settingOf } from '../facts.ts';
import { technique } from '../technique.ts';
import { act } from './act.ts';
import { fields } from './op.ts';

/** A salt that is not the product falls: driven out by another salt, by spirit, or by the cold. */
export const fall = technique({
  says: 'let a salt fall',
  fields,
  counts: 'when done',
  act,
  advice: null,
  gives: { 'fallen.mass': 3, 'product.mass': 3, 'product.all': 3, 'product.pct': 3, 'product.volume': 3 },
  takes: ['mass'],
  follows: [{ quantity: 'mass', course: 'levelling', of: 'what has fallen' }],
  hours: null,
  takesIn: null,
  coolsTo: ({ cold }, facts) => (cold ? settingOf(facts, cold) : null),
  names: ({ cold, share }) => ({ controls: [...(cold ? [cold] : []), ...(share ? [share] : [])] }),
});
