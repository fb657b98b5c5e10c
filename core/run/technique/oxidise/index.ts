import { technique } from '../technique.ts';
import { act } from './act.ts';
import { advice } from './advice.ts';
import { fields } from './op.ts';

export type { OxidiseAdvice } from './advice.ts';

/** A halide, acid and peroxide left to themselves: bromine or iodine comes as fast as the rate law lets it. */
export const oxidise = technique({
  says: 'let peroxide free a halogen',
  fields,
  counts: 'when done',
  act,
  advice,
  gives: {
    'freed.mass': 2,
    'freed.conversion': 2,
    'freed.hours': 2,
    'freed.oxygen': 2,
    'product.mass': 3,
    'product.all': 3,
    'product.pct': 3,
    'product.volume': 3,
  },
  takes: ['temperature'],
  follows: [],
  hours: ({ figures }) => {
    const hours = figures['freed.hours']?.value;
    return hours === undefined ? null : [hours / 2, hours * 2];
  },
  besidesFirst: true,
  takesIn: null,
  coolsTo: null,
  names: ({ reactions, temp, hours }) => ({ reactions, controls: [temp, hours] }),
});
