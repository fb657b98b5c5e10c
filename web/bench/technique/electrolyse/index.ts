import type { TechniqueView } from '../technique-view.ts';

/** The cell stands open as long as it runs. */
export const electrolyseView: TechniqueView<'electrolyse'> = {
  panes: [],
  opens: () => null,
  Working: null,
  Says: null,
  leads: true,
};
