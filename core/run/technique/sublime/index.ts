import { technique } from '../technique.ts';
import { act } from './act.ts';
import { advice } from './advice.ts';
import { fields } from './op.ts';

export type { SublimeAdvice } from './advice.ts';

/** A solid goes over as vapour onto a cold cover. */
export const sublimeOver = technique({
  says: 'sublime',
  fields,
  counts: 'when done',
  act,
  advice,
  gives: { 'product.mass': 3, 'sublimed.hours': 2, 'sublimed.lost': 2, 'sublimed.ice': 2 },
  takes: ['temperature', 'left'],
  follows: [{ quantity: 'left', course: 'dissolving', of: 'what is left in the dish' }],
  hours: ({ figures }) => {
    const hours = figures['sublimed.hours']?.value;
    return hours === undefined ? null : [hours / 2, hours * 2];
  },
  takesIn: null,
  coolsTo: null,
  names: ({ pot, cover, dish }) => ({ controls: [pot, cover, dish] }),
});
