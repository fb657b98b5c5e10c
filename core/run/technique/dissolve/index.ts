import { technique } from '../technique.ts';
import { act, takesIn } from './act.ts';
import { advice } from './advice.ts';
import { fields } from './op.ts';

/** Warmed and stirred until what can dissolve has. */
export const dissolveWarm = technique({
  says: 'dissolve',
  fields,
  counts: 'when done',
  act,
  advice,
  gives: {},
  takes: [],
  follows: [{ quantity: 'left', course: 'dissolving', of: 'what is left' }],
  hours: null,
  takesIn,
  coolsTo: null,
  names: ({ control }) => ({ controls: control === undefined ? [] : [control] }),
});
