import { technique } from '../technique.ts';
import { act } from './act.ts';
import { advice } from './advice.ts';
import { fields } from './op.ts';

/** A reaction goes on with what is in the vessel: a metal dissolves, a carbonate is used up. */
export const react = technique({
  says: 'let react',
  fields,
  counts: 'when done',
  act,
  advice,
  gives: {},
  takes: ['left'],
  follows: [
    { quantity: 'left', course: 'dissolving', of: 'what is left' },
    { quantity: 'gas', course: 'levelling', of: 'the gas' },
  ],
  hours: null,
  besidesFirst: true,
  takesIn: null,
  coolsTo: null,
  names: ({ reaction }) => ({ reactions: [reaction] }),
});
