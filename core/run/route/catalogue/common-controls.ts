import type { Control } from '#run/technique';

// Controls that many routes share; a route says only what is different for it.

/** Which of two goes into the other. */
export const order = (note: string, choices: readonly [string, string]): Control => ({
  id: 'order',
  name: 'what goes into what',
  unit: '',
  min: 0,
  max: 1,
  step: 1,
  start: 0,
  note,
  choices,
});
