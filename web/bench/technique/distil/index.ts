import type { TechniqueView } from '../technique-view.ts';

/** Filled in below. */
export const distilView: TechniqueView<'distil'> = { panes: [], opens: () => null, Working: null, Says: null };
