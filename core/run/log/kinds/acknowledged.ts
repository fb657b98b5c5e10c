import { text } from '#base/shape';
import { entryKind } from '../entry-kind.ts';

/** A caution was read: its step and its name. */
export const acknowledged = entryKind({
  fields: { caution: text(100) },
  text: () => 'caution read',
  step: 'none',
  changes: 'record',
});
