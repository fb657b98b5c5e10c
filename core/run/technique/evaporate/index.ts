import { openDishHours } from '#model/dish';
import { AS_IT_REALLY_IS, FOLLOWS_THE_BENCH } from '../facts.ts';
import { technique } from '../technique.ts';
import { act } from './act.ts';
import { fields } from './op.ts';

/** Left to evaporate, to a share of its water. */
export const evaporate = technique({
  says: 'leave to evaporate',
  deed: 'concentrate',
  fields,
  counts: 'when done',
  toGoal: true,
  besidesFirst: AS_IT_REALLY_IS,
  act,
  advice: null,
  gives: { 'dish.volume': 2, 'dish.away': 2 },
  takes: ['volume'],
  follows: [{ quantity: 'volume', course: 'steady', of: 'the volume', goal: 'dish.volume' }],
  hours: ({ figures }, { bench, tables }) => {
    const away = figures['dish.away'];
    if (!away || tables < FOLLOWS_THE_BENCH) return null;
    return openDishHours(away.value, away.value + (figures['dish.volume']?.value ?? 0), bench);
  },
  takesIn: null,
  coolsTo: null,
  names: ({ control }) => ({ controls: [control] }),
});
