import type { TechniqueView } from '../technique-view.ts';
import { AbsorberBench } from './absorber-bench.tsx';

/** Generator and absorber stand open as long as gas comes. */
export const absorbView: TechniqueView<'absorb'> = {
  panes: [],
  opens: () => null,
  Working: AbsorberBench,
  Says: null,
};
