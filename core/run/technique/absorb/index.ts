import { technique } from '../technique.ts';
import { act } from './act.ts';
import { advice } from './advice.ts';
import { fields } from './op.ts';

export type { AbsorbAdvice, LyeWindow } from './advice.ts';

/** A gas made in one vessel and taken up by the water or the lye of another. */
export const absorbGas = technique({
  says: 'lead a gas into water or lye',
  fields,
  counts: 'when done',
  act,
  advice,
  gives: {
    'absorbed.gained': 3,
    'absorbed.escapes': 2,
    'absorbed.gas': 2,
    'absorbed.heat': 2,
    'absorbed.ice': 2,
    'absorbed.guard': 2,
    'absorbed.salt': 2,
    'absorbed.slurry': 2,
    'product.mass': 3,
    'product.all': 3,
    'product.pct': 3,
    'product.volume': 3,
  },
  takes: ['mass', 'temperature', 'pH', 'dripped'],
  follows: [{ quantity: 'mass', course: 'levelling', of: 'what the absorber has gained' }],
  hours: null,
  besidesFirst: true,
  takesIn: null,
  coolsTo: null,
  names: ({ reaction, also = [], takes, arrives, ceiling, pace, along }) => ({
    reactions: [reaction, ...also, ...(takes ? [takes] : [])],
    controls: [arrives, ceiling, ...(pace ? [pace] : []), ...(along ? [along] : [])],
  }),
});
