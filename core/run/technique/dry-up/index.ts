import { openDishHours } from '#model/dish';
import { AS_IT_REALLY_IS, FOLLOWS_THE_BENCH } from '../facts.ts';
import { technique } from '../technique.ts';
import { act } from './act.ts';
import { fields } from './op.ts';

/** A solution left to dry up to a crust. */
export const dryUp = technique({
  says: 'dry up',
  deed: 'concentrate',
  fields,
  counts: 'when done',
  toGoal: true,
  besidesFirst: AS_IT_REALLY_IS,
  act,
  advice: null,
  gives: { 'crystals.mass': 3, 'crust.other': 2, 'product.mass': 3, 'dish.away': 2 },
  takes: ['volume'],
  follows: [{ quantity: 'mass', course: 'levelling', of: 'the crust' }],
  hours: ({ figures }, { bench, tables }) => {
    const away = figures['dish.away'];
    if (!away || tables < FOLLOWS_THE_BENCH) return null;
    return openDishHours(away.value, away.value + (figures['dish.volume']?.value ?? 0), bench);
  },
  takesIn: null,
  coolsTo: null,
  names: () => ({}),
});
