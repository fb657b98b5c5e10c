import { entryKind } from '../entry-kind.ts';
import { stepKey } from '../step-key.ts';

export const started = entryKind({
  fields: { step: stepKey() },
  text: () => 'begun',
  step: 'starts',
  changes: 'steps',
});
