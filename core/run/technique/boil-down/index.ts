import { AS_IT_REALLY_IS } from '../facts.ts';
import { technique } from '../technique.ts';
import { act } from './act.ts';
import { fields } from './op.ts';

/** Water is boiled off, to a strength. */
export const boilDown = technique({
  says: 'boil down',
  deed: 'concentrate',
  fields,
  counts: 'when done',
  toGoal: true,
  besidesFirst: AS_IT_REALLY_IS,
  act,
  advice: null,
  gives: { 'boil.volume': 2, 'boil.away': 2 },
  takes: ['volume'],
  follows: [{ quantity: 'volume', course: 'steady', of: 'the volume', goal: 'boil.volume' }],
  // It takes what the heater takes, give or take a third.
  hours: ({ figures }, { bench }) => {
    const hours = (figures['boil.away']?.value ?? 0) / bench.evaporationGPerH;
    return figures['boil.away'] ? [hours * 0.67, hours * 1.5] : null;
  },
  takesIn: null,
  coolsTo: null,
  names: ({ control }) => ({ controls: [control] }),
});
