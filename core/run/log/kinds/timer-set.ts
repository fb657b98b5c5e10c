import { id, number, text } from '#base/shape';
import { formatPlain } from '#base/units';
import { entryKind } from '../entry-kind.ts';
import { stepKey } from '../step-key.ts';

export const timerSet = entryKind({
  fields: { step: stepKey(), timer: id('timer'), name: text(80), minutes: number({ moreThan: 0, max: 525_600 }) },
  text: ({ name, minutes }) => `timer ${name}, ${formatPlain(minutes)} min`,
  step: 'begins',
  changes: 'record',
});
