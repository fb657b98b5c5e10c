import { dishPane } from '../panes.ts';
import type { TechniqueView } from '../technique-view.ts';

/** Crystals grow in the cold: the dish. */
export const crystalliseView: TechniqueView<'crystallise'> = {
  panes: [dishPane],
  opens: () => null,
  Working: null,
  Says: null,
};
