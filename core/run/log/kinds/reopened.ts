import { entryKind } from '../entry-kind.ts';
import { stepKey } from '../step-key.ts';

export const reopened = entryKind({
  fields: { step: stepKey() },
  text: () => 'opened again',
  step: 'reopens',
  changes: 'amounts',
});
