import { text } from '#base/shape';
import { entryKind } from '../entry-kind.ts';

export const abandoned = entryKind({
  fields: { reason: text(500) },
  text: ({ reason }) => `abandoned: ${reason}`,
  step: 'none',
  changes: 'record',
});
