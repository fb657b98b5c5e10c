import { entryKind } from '../entry-kind.ts';
import { stepKey } from '../step-key.ts';

/** Somebody looked, and it was as it should be. */
export const checked = entryKind({
  fields: { step: stepKey() },
  text: () => 'checked',
  step: 'begins',
  changes: 'record',
});
