import { entryKind } from '../entry-kind.ts';
import { stepKey } from '../step-key.ts';

export const finished = entryKind({
  fields: { step: stepKey() },
  text: () => 'done',
  step: 'ends',
  changes: 'amounts',
});
