import { amountShape, readingText } from '#base/reading';
import { note, nullable, one, optional, text } from '#base/shape';
import { bottleThenShape } from '#matter/stock';
import { vesselNames } from '#matter/vessel';
import { entryKind } from '../entry-kind.ts';
import { stepKey } from '../step-key.ts';

/** Something went into the vessel: what a step asks for, or something unplanned. */
export const added = entryKind({
  fields: {
    step: stepKey(),
    /** Null for something unplanned. */
    role: nullable(text(40)),
    bottleId: nullable(text(60)),
    reading: amountShape,
    /** Into which vessel, where it is not the one that its step works in. */
    in: optional(one(...vesselNames)),
    /** Asked for when it is far from the plan. */
    reason: note(500),
    /** For a bottle that the plan does not hold. */
    stock: optional(bottleThenShape),
  },
  text: ({ bottleId, role, reading, stock, in: into }, names) => {
    const bottle = bottleId === null ? undefined : names.bottle(bottleId);
    const name = stock?.card.name ?? bottle ?? (role === null ? undefined : names.role(role)) ?? 'water';
    return `${name} ${readingText(reading)}${into ? `, into the ${into}` : ''}`;
  },
  step: 'begins',
  changes: 'amounts',
});
