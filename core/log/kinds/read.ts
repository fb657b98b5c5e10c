import { note, one, optional } from '#core/shape';
import { entryKind } from '../entry-kind.ts';
import { type Quantity, quantities, readables } from '../quantity.ts';
import { type Reading, readingLeast, readingShape, readingText } from '../reading.ts';
import { stepKey } from '../step-key.ts';

const quantityNames = Object.keys(quantities) as Quantity[];

/** Something was read at a step, on an instrument or by eye. */
export const read = entryKind({
  fields: {
    step: stepKey(),
    quantity: one(...quantityNames),
    reading: readingShape,
    /** What it was read of, where that is not what stands in the vessel. */
    of: optional(one(...readables)),
    /** Where it was read, in words of one's own: “head”, “bath”. */
    place: note(60),
  },
  text: ({ quantity, reading, of, place }) => {
    const where = place || (of && of !== 'vessel' ? of : '');
    return `${where} ${quantities[quantity].name} ${readingText(reading)}`.trim();
  },
  step: 'begins',
  changes: 'amounts',
});

/** Why a reading of a quantity cannot be; empty when it can. */
export function readingProblem(quantity: Quantity, reading: Reading): string {
  const least = readingLeast(reading);
  return least !== undefined && least < 0 && !quantities[quantity].signed
    ? `${readingText(reading)} is below zero; this is 0 or more.`
    : '';
}
