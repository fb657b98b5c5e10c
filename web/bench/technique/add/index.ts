import type { TechniqueView } from '../technique-view.ts';
import { Portionwise } from './add-pane.tsx';
import { AddSays } from './add-says.tsx';
import { WeighAddition } from './weigh-addition.tsx';

/** Adding: weighed or measured at once, or by portions to an end point. */
export const addView: TechniqueView<'add'> = {
  panes: [{ id: 'weigh', name: 'Weigh or measure', key: 'w', Pane: WeighAddition }],
  opens: (step) => (step.template?.adding ? null : 'weigh'),
  Working: Portionwise,
  Says: AddSays,
};
