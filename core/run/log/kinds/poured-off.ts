import { id, note, nullable, number, optional, text } from '#base/shape';
import { formatPlain } from '#base/units';
import { cardShape } from '#matter/stock';
import { entryKind } from '../entry-kind.ts';
import { stepKey } from '../step-key.ts';

/** A share of the vessel goes to another batch, to the shelf, or away. */
export const pouredOff = entryKind({
  fields: {
    step: stepKey(),
    share: number({ moreThan: 0, max: 1 }),
    batchId: nullable(text(60)),
    /** The bottle on the shelf in which a part is used further. */
    bottleId: optional(id('bottle')),
    /** Of that bottle, which is put on the shelf in the same breath. */
    card: optional(cardShape),
    why: note(500),
  },
  text: ({ share, batchId, bottleId, why }) =>
    `${formatPlain(share * 100, 3)} % ${wentWhere(batchId, bottleId)}${why ? `: ${why}` : ''}`,
  step: 'begins',
  changes: 'amounts',
});

function wentWhere(batchId: string | null, bottleId: string | undefined): string {
  if (bottleId) return 'used further, to the shelf';
  return batchId ? 'poured off into another batch' : 'poured away';
}
