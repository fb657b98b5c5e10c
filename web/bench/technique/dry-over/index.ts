import type { TechniqueView } from '../technique-view.ts';

/** Filled in below. */
export const dryOverView: TechniqueView<'dry-over'> = { panes: [], opens: () => null, Working: null, Says: null };
