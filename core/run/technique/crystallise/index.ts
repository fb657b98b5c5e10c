import { settingOf } from '../facts.ts';
import { technique } from '../technique.ts';
import { act } from './act.ts';
import { fields } from './op.ts';

/** Cooled until the crystals have grown. */
export const crystalliseCold = technique({
  says: 'cool and crystallise',
  deed: 'crystallise',
  fields,
  counts: 'when done',
  act,
  advice: null,
  gives: {
    'crystals.mass': 3,
    'crystals.temp': 2,
    'crystals.solubility': 3,
    'crystals.besides': 2,
    'liquor.volume': 2,
  },
  takes: ['temperature'],
  follows: [{ quantity: 'mass', course: 'levelling', of: 'the crystals' }],
  hours: null,
  takesIn: null,
  coolsTo: ({ control }, facts) => settingOf(facts, control),
  names: ({ control }) => ({ controls: [control] }),
});
