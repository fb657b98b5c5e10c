import { text } from '#base/shape';
import { entryKind } from '../entry-kind.ts';
import { stepKey } from '../step-key.ts';

export const stepSkipped = entryKind({
  fields: { step: stepKey(), reason: text(500) },
  text: ({ reason }) => `skipped: ${reason}`,
  step: 'skips',
  changes: 'amounts',
});
