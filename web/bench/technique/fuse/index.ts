import type { TechniqueView } from '../technique-view.ts';

/** A melt is kept hot. */
export const fuseView: TechniqueView<'fuse'> = {
  panes: [],
  opens: () => null,
  Working: null,
  Says: null,
};
