import { type Quantity, quantities, readables, readingShape, readingText } from '#base/reading';
import { note, number, one, optional } from '#base/shape';
import { formatPlain } from '#base/units';
import { entryKind } from '../entry-kind.ts';
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
    /** Whether what was weighed was dry, or still held liquor or rinse. */
    state: optional(one('dry', 'wet')),
    /** g of paper or vessel that was weighed with it. */
    tareG: optional(number({ min: 0, max: 1e6 })),
    /** Where it was read, in words of one's own: “head”, “bath”. */
    place: note(60),
  },
  text: ({ quantity, reading, of, state, tareG, place }) => {
    const where = place || (of && of !== 'vessel' ? of : '');
    const tare = tareG === undefined ? '' : `, ${formatPlain(tareG)} g of it paper or vessel`;
    return `${where} ${quantities[quantity].name} ${readingText(reading)}${state ? `, ${state}` : ''}${tare}`.trim();
  },
  step: 'begins',
  changes: 'amounts',
});
