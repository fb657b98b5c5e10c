import { technique } from '../technique.ts';
import { act } from './act.ts';
import { fields } from './op.ts';

/** Dried to constant mass. */
export const dry = technique({
  says: 'dry',
  deed: 'dry',
  fields,
  counts: 'when done',
  act,
  advice: null,
  gives: { 'product.mass': 3 },
  takes: ['mass'],
  follows: [{ quantity: 'mass', course: 'levelling', of: 'the mass' }],
  hours: null,
  takesIn: null,
  coolsTo: null,
  names: ({ waterControl }) => ({ controls: waterControl === undefined ? [] : [waterControl] }),
});
