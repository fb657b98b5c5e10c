import { technique } from '../technique.ts';
import { act } from './act.ts';
import { advice } from './advice.ts';
import { fields } from './op.ts';

export type { EsterAdvice } from './advice.ts';

/** An acid and an alcohol, kept warm until they are at their equilibrium. */
export const esterify = technique({
  says: 'esterify',
  fields,
  counts: 'when done',
  act,
  advice,
  gives: { 'ester.mass': 3, 'ester.conversion': 2, 'ester.hours': 2 },
  takes: ['temperature'],
  follows: [],
  hours: null,
  besidesFirst: true,
  takesIn: null,
  coolsTo: null,
  names: ({ reaction, temp, hours }) => ({ reactions: [reaction], controls: [temp, hours] }),
});
