import { dishPane } from '../panes.ts';
import type { TechniqueView } from '../technique-view.ts';

/** Two salts change partners: the one that is least soluble crystallises. */
export const saltPairView: TechniqueView<'salt-pair'> = {
  panes: [dishPane],
  opens: () => null,
  Working: null,
  Says: null,
};
