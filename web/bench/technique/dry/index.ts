import { WeighProduct } from '#web/run/weigh-product.tsx';
import type { TechniqueView } from '../technique-view.ts';
import { DryPane } from './dry-pane.tsx';

/** Drying to constant mass: the methods, and the weighings. */
export const dryView: TechniqueView<'dry'> = {
  panes: [
    { id: 'weigh', name: 'Weigh it', key: 'w', Pane: WeighProduct },
    { id: 'dry', name: 'Dry', key: 'r', Pane: DryPane },
  ],
  opens: () => null,
  Working: null,
  Says: null,
};
