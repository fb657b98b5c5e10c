import { settingOf } from '../facts.ts';
import { technique } from '../technique.ts';
import { act } from './act.ts';
import { fields } from './op.ts';

/** Of four salts that share their ions the least soluble crystallises. */
export const saltPair = technique({
  says: 'let one of a salt pair crystallise',
  fields,
  counts: 'when done',
  act,
  advice: null,
  gives: { 'crystals.mass': 3, 'liquor.volume': 2, 'salt.mass': 3 },
  takes: ['temperature'],
  follows: [{ quantity: 'mass', course: 'levelling', of: 'the crystals' }],
  hours: null,
  takesIn: null,
  coolsTo: ({ control, crop }, facts) => (crop ? settingOf(facts, control) : null),
  names: ({ control }) => ({ controls: [control] }),
});
