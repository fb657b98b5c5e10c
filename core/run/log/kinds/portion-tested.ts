import { amountShape, readingText } from '#base/reading';
import { id, note } from '#base/shape';
import { entryKind } from '../entry-kind.ts';
import { stepKey } from '../step-key.ts';

/** The result of a test portion: so much brought it to its end point. */
export const portionTested = entryKind({
  fields: { step: stepKey(), portion: id('ev'), reading: amountShape, says: note(300) },
  text: ({ reading, says }) => `test portion, result: ${readingText(reading)}${says ? `, ${says}` : ''}`,
  step: 'begins',
  changes: 'record',
});
