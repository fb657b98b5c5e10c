import type { BottleCard } from '#matter/stock';

/** A bottle of the examples. */
export const exampleCard: BottleCard = {
  name: 'Patio acid',
  substanceId: 'hydrochloric-acid',
  strength: { value: 28, unit: 'w/w' },
  others: [],
  strengthBand: null,
  assayed: false,
  size: { value: 5000, unit: 'mL' },
  price: 11.5,
  container: 'jug',
  group: 'bought',
  since: '2026-01-10',
  labelText: '',
  fromBatch: null,
  note: '',
};
