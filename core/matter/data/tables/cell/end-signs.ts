import type { CellRow } from './rows.ts';

/** What is seen at the end of a run, and when a current falls or climbs. */
export const endSigns: readonly CellRow[] = [
  { id: 'copper sulfate to sulfuric acid', says: 'blue gone against white paper: below about 0.3 g/L Cu; current climbs (acid conducts 5-6 times better) then steadies; gas at the cathode; black loose copper', value: null, low: null, high: null, unit: '', note: '', grade: 'B', source: 'bench practice; computed limits' },
  { id: 'copper sulfate to sulfuric acid, last check', says: 'a drop with ammonia shows no blue: below 20 mg/L; ferrocyanide no brown: below 1-2 mg/L', value: null, low: null, high: null, unit: '', note: '', grade: 'B', source: 'bench practice; computed limits' },
  { id: 'copper anode and magnesium sulfate', says: 'catholyte holds white mud, pH 10.3 and no more; anolyte turns green-blue if acid is missing; anode thins at the liquid line and the contact drops: current to zero', value: null, low: null, high: null, unit: '', note: '', grade: 'B', source: 'bench practice; computed limits' },
  { id: 'bicarbonate divided cell', says: 'pH of the catholyte above 13.5; anolyte stops fizzing when bicarbonate is gone, then its pH falls and current drops: top up', value: null, low: null, high: null, unit: '', note: '', grade: 'B', source: 'bench practice; computed limits' },
  { id: 'brine divided cell', says: 'yellow-green tint and smell on the anode side; falling pH there; level of salt by density', value: null, low: null, high: null, unit: '', note: '', grade: 'B', source: 'bench practice; computed limits' },
  { id: 'brine undivided', says: 'pH climbs to 9-10; smell of bleach; strength by test strip for pools, diluted', value: null, low: null, high: null, unit: '', note: '', grade: 'B', source: 'bench practice; computed limits' },
  { id: 'hydroxide strength', says: 'density or titration; aluminium foil bubbles at once above about 1 % NaOH', value: null, low: null, high: null, unit: '', note: '', grade: 'B', source: 'bench practice; computed limits' },
  { id: 'current falls at constant voltage', says: 'spent ion, scale on cathode (calcium, magnesium), gas under the plate, anode eaten, dry clip, divider clogged: in this order look', value: null, low: null, high: null, unit: '', note: '', grade: 'B', source: 'bench practice; computed limits' },
  { id: 'current climbs at constant voltage', says: 'warming (2 % per K), acid or alkali formed, plates bent closer or bridged by copper trees', value: null, low: null, high: null, unit: '', note: '', grade: 'B', source: 'bench practice; computed limits' },
  { id: 'voltage climbs at constant current', says: 'the same list as for falling current', value: null, low: null, high: null, unit: '', note: '', grade: 'B', source: 'bench practice; computed limits' },
  { id: 'brown or yellow anolyte', says: 'graphite humus (filters on charcoal), iron, or chromate from stainless (stop)', value: null, low: null, high: null, unit: '', note: '', grade: 'B', source: 'bench practice; computed limits' },
  { id: 'short by copper tree', says: 'amperes up, volts down, no gas: lift and rinse', value: null, low: null, high: null, unit: '', note: '', grade: 'B', source: 'bench practice; computed limits' },
];
