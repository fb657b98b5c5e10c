import { id, one, optional } from '#core/shape';
import { vesselNames } from '#core/vessel';
import { entryKind } from '../entry-kind.ts';

/** The product was put on the shelf; or a fraction, out of its own vessel. */
export const bottled = entryKind({
  fields: { bottleId: id('bottle'), from: optional(one(...vesselNames)) },
  text: ({ from }) => (from ? `${from} put on the shelf` : 'put on the shelf'),
  step: 'none',
  changes: 'record',
});
