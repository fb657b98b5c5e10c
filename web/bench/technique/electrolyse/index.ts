import type { TechniqueView } from '../technique-view.ts';
import { CellBench } from './cell-bench.tsx';

/** The cell stands open as long as it runs. */
export const electrolyseView: TechniqueView<'electrolyse'> = {
  panes: [],
  opens: () => null,
  Working: CellBench,
  Says: null,
  leads: true,
};
