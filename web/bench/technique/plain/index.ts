import type { TechniqueView } from '../technique-view.ts';

/** Something that changes nothing in the vessels. */
export const plainStepView: TechniqueView<'plain'> = {
  panes: [],
  opens: () => null,
  Working: null,
  Says: null,
};
