import { id, one, optional } from '#base/shape';
import { cardShape } from '#matter/stock';
import { vesselNames } from '#matter/vessel';
import { entryKind } from '../entry-kind.ts';

/** The product was put on the shelf; or a fraction, out of its own vessel. With its card the bottle is put there in the same breath. */
export const bottled = entryKind({
  fields: { bottleId: id('bottle'), from: optional(one(...vesselNames)), card: optional(cardShape) },
  text: ({ from }) => (from ? `${from} put on the shelf` : 'put on the shelf'),
  step: 'none',
  changes: 'record',
});
