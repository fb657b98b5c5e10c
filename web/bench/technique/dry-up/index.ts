import { evaporatePane } from '../panes.ts';
import type { TechniqueView } from '../technique-view.ts';

/** All of the water is left to go. */
export const dryUpView: TechniqueView<'dry-up'> = {
  panes: [evaporatePane],
  opens: () => null,
  Working: null,
  Says: null,
};
