import { SettleSays } from '../filter/filter-says.tsx';
import { washPane } from '../panes.ts';
import type { TechniqueView } from '../technique-view.ts';

/** A precipitate settles before it is filtered. */
export const precipitateView: TechniqueView<'precipitate'> = {
  panes: [washPane],
  opens: () => null,
  Working: null,
  Says: SettleSays,
};
