import { flag, note } from '#base/shape';
import { entryKind } from '../entry-kind.ts';
import { amountShape, readingText } from '../reading.ts';
import { stepKey } from '../step-key.ts';

/** A test portion was taken out of the vessel. */
export const portionTaken = entryKind({
  fields: { step: stepKey(), reading: amountShape, purpose: note(300), returned: flag() },
  text: ({ reading, purpose, returned }) =>
    `test portion ${readingText(reading)}, ${purpose}${returned ? ', returned' : ''}`,
  step: 'begins',
  changes: 'amounts',
});
