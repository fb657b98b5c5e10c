import { dishPane, evaporatePane } from '../panes.ts';
import type { TechniqueView } from '../technique-view.ts';

/** Water is left to evaporate. */
export const evaporateView: TechniqueView<'evaporate'> = {
  panes: [dishPane, evaporatePane],
  opens: () => null,
  Working: null,
  Says: null,
};
