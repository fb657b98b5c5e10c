import { technique } from '../technique.ts';
import { act } from './act.ts';
import { fields } from './op.ts';

/** Solids melted together. */
export const fuse = technique({
  says: 'melt together',
  fields,
  counts: 'when done',
  act,
  advice: null,
  gives: {},
  takes: [],
  follows: [],
  hours: null,
  takesIn: null,
  coolsTo: null,
  names: ({ reaction, control, weighedAt }) => ({ reactions: [reaction], controls: [control], steps: [weighedAt] }),
});
