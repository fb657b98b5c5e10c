import { id } from '#base/shape';
import { entryKind } from '../entry-kind.ts';

export const timerStopped = entryKind({
  fields: { timer: id('timer') },
  text: () => 'timer stopped',
  step: 'none',
  changes: 'record',
});
