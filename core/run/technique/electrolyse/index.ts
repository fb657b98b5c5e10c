import { technique } from '../technique.ts';
import { act } from './act.ts';
import { advice } from './advice.ts';
import { fields } from './op.ts';

/** A current led through a cell, with one liquid or two, until so much is made. */
export const electrolyse = technique({
  says: 'electrolyse',
  fields,
  counts: 'when done',
  act,
  advice,
  gives: {
    'cell.charge': 3,
    'cell.current': 2,
    'cell.efficiency': 2,
    'cell.hours': 2,
    'cell.made': 3,
    'cell.volts': 2,
    'cell.warm': 2,
    'cell.hydrogen': 2,
    'cell.anode': 3,
    'cell.metal': 3,
    'cell.second': 2,
    'cell.water': 2,
  },
  takes: ['current', 'charge'],
  follows: [],
  hours: ({ figures }) => {
    const hours = figures['cell.hours']?.value;
    // The voltage may not bring that current at first, nor to the end.
    return hours === undefined ? null : [0.95 * hours, 1.6 * hours];
  },
  besidesFirst: true,
  takesIn: null,
  coolsTo: null,
  names: ({ reaction, orElse, current, finish, anodeControl, dividerControl, spare }) => ({
    reactions: [reaction, ...(orElse ? [orElse] : [])],
    controls: [current, finish, anodeControl, dividerControl, spare].flatMap((each) => each ?? []),
  }),
});
