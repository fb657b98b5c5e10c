import type { TechniqueView } from '../technique-view.ts';

/** Nothing of its own is opened: it is weighed like any solid. */
export const fallView: TechniqueView<'fall'> = { panes: [], opens: () => null, Working: null, Says: null };
