import type { Role } from '#run/technique';

// Roles that many routes share; a route says only what is different for it.

/** Plain water: it needs no bottle. */
export const plainWater = (dose: Role['dose'], tolerates = 'Distilled or rain water.'): Role => ({
  id: 'water',
  name: 'water',
  accepts: [],
  refuses: [],
  tolerates,
  measure: 'volume',
  dose,
});

/** Washing soda, whatever water it holds. */
export const washingSoda = (over: Pick<Role, 'refuses' | 'tolerates' | 'dose'>): Role => ({
  id: 'soda',
  name: 'washing soda',
  accepts: ['sodium-carbonate-decahydrate', 'sodium-carbonate', 'sodium-carbonate-monohydrate'],
  measure: 'mass',
  ...over,
});
