import type { TechniqueView } from '../technique-view.ts';
import { MadeUpTo } from './made-up-to.tsx';

/** Making up to the mark. */
export const makeUpView: TechniqueView<'make-up'> = {
  panes: [{ id: 'weigh', name: 'Measure', key: 'w', Pane: MadeUpTo }],
  opens: () => 'weigh',
  Working: null,
  Says: null,
};
