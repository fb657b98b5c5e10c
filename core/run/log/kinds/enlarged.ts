import { note, number } from '#base/shape';
import { formatPlain } from '#base/units';
import { entryKind } from '../entry-kind.ts';
import { stepKey } from '../step-key.ts';

/** Makes the batch so many times larger from now on: what is in stays, the rest is topped up. */
export const enlarged = entryKind({
  fields: { step: stepKey(), factor: number({ moreThan: 1, max: 20 }), why: note(500) },
  text: ({ factor, why }) => `batch made ${formatPlain(factor)} times as large${why ? `: ${why}` : ''}`,
  step: 'begins',
  changes: 'amounts',
});
