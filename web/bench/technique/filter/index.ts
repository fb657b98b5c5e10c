import { washPane } from '../panes.ts';
import type { TechniqueView } from '../technique-view.ts';
import { FilterSays } from './filter-says.tsx';

/** Filtering: through what, how long, and what washing it takes. */
export const filterView: TechniqueView<'filter'> = {
  panes: [washPane],
  opens: () => null,
  Working: null,
  Says: FilterSays,
};
