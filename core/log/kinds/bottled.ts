import { id } from '#core/shape';
import { entryKind } from '../entry-kind.ts';

/** The product was put on the shelf. */
export const bottled = entryKind({
  fields: { bottleId: id('bottle') },
  text: () => 'put on the shelf',
  step: 'none',
  changes: 'record',
});
