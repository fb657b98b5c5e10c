import { SettleSays } from '../filter/filter-says.tsx';
import { washPane } from '../panes.ts';
import type { TechniqueView } from '../technique-view.ts';

/** Pouring the clear liquor off: how long it settles, and what washing by decanting takes. */
export const decantView: TechniqueView<'decant'> = {
  panes: [washPane],
  opens: () => null,
  Working: null,
  Says: SettleSays,
};
