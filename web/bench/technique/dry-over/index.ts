import type { TechniqueView } from '../technique-view.ts';

/** Left to stand over its salt: nothing of its own to work with. */
export const dryOverView: TechniqueView<'dry-over'> = { panes: [], opens: () => null, Working: null, Says: null };
