import type { TechniqueView } from '../technique-view.ts';

/** Left in the cold: nothing of its own to work with. */
export const saltOutView: TechniqueView<'salt-out'> = { panes: [], opens: () => null, Working: null, Says: null };
