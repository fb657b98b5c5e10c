import type { TechniqueView } from '../technique-view.ts';

/** It stands, warm or cold, for its time. */
export const holdView: TechniqueView<'hold'> = {
  panes: [],
  opens: () => null,
  Working: null,
  Says: null,
};
