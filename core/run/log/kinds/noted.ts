import { text } from '#base/shape';
import { entryKind } from '../entry-kind.ts';
import { stepKey } from '../step-key.ts';

export const noted = entryKind({
  fields: { step: stepKey(), text: text(4000) },
  text: (body) => body.text,
  step: 'begins',
  changes: 'record',
});
