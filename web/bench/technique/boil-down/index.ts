import { evaporatePane } from '../panes.ts';
import type { TechniqueView } from '../technique-view.ts';

/** Water is boiled away: hours, vessels, and the dish it is for. */
export const boilDownView: TechniqueView<'boil-down'> = {
  panes: [evaporatePane],
  opens: () => null,
  Working: null,
  Says: null,
};
