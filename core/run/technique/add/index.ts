import { technique } from '../technique.ts';
import { act } from './act.ts';
import { advice } from './advice.ts';
import { fields } from './op.ts';

/** Puts a role in: weighed or measured, at once or by portions to an end point. */
export const add = technique({
  says: 'add',
  fields,
  counts: 'when entered',
  act,
  advice,
  gives: {},
  takes: [],
  follows: [],
  hours: null,
  takesIn: null,
  coolsTo: null,
  names: ({ role, reacts = [] }) => ({ roles: [role], reactions: reacts }),
});
