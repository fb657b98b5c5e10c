import { amountShape, readingText } from '#base/reading';
import { flag, note } from '#base/shape';
import { entryKind } from '../entry-kind.ts';
import { stepKey } from '../step-key.ts';

/** A test portion was taken out of the vessel. */
export const portionTaken = entryKind({
  fields: { step: stepKey(), reading: amountShape, purpose: note(300), returned: flag() },
  text: ({ reading, purpose, returned }) =>
    `test portion ${readingText(reading)}, ${purpose}${returned ? ', returned' : ''}`,
  step: 'begins',
  changes: 'amounts',
});
