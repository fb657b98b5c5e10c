import { id, note } from '#base/shape';
import { entryKind } from '../entry-kind.ts';
import { amountShape, readingText } from '../reading.ts';
import { stepKey } from '../step-key.ts';

/** The result of a test portion: so much brought it to its end point. */
export const portionTested = entryKind({
  fields: { step: stepKey(), portion: id('ev'), reading: amountShape, says: note(300) },
  text: ({ reading, says }) => `test portion, result: ${readingText(reading)}${says ? `, ${says}` : ''}`,
  step: 'begins',
  changes: 'record',
});
