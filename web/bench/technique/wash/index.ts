import { FilterSays } from '../filter/filter-says.tsx';
import { washPane } from '../panes.ts';
import type { TechniqueView } from '../technique-view.ts';

/** Washing what was caught. */
export const washView: TechniqueView<'wash'> = {
  panes: [washPane],
  opens: () => null,
  Working: null,
  Says: FilterSays,
};
