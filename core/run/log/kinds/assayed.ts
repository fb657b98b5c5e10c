import { note, number, text } from '#base/shape';
import { formatPlain } from '#base/units';
import { entryKind } from '../entry-kind.ts';
import { stepKey } from '../step-key.ts';

/** A bottle’s strength was found at the bench: it holds for all that was or will be taken from it in this run. */
export const assayed = entryKind({
  fields: {
    step: stepKey(),
    bottleId: text(60),
    /** Mass %, with its 95 % band. */
    pct: number({ moreThan: 0, max: 100 }),
    bandPct: number({ min: 0, max: 100 }),
    how: note(200),
  },
  text: ({ bottleId, pct, bandPct, how }, names) =>
    `${names.bottle(bottleId) ?? 'a bottle'} taken as ${formatPlain(pct)} ± ${formatPlain(bandPct)} %${how === '' ? '' : `, ${how}`}`,
  step: 'begins',
  changes: 'amounts',
});
