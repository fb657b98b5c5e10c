import { technique } from '../technique.ts';
import { act } from './act.ts';
import { fields } from './op.ts';

/** Of four salts that share their ions the least soluble crystallises. */
export const saltPair = technique({
  says: 'let one of a salt pair crystallise',
  fields,
  act,
  advice: null,
  gives: { 'crystals.mass': 3, 'liquor.volume': 2, 'salt.mass': 3 },
  takes: ['temperature'],
  follows: [{ quantity: 'mass', course: 'levelling', of: 'the crystals' }],
  hours: null,
  names: ({ control }) => ({ controls: [control] }),
});
