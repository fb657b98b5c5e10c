import type { TechniqueView } from '../technique-view.ts';
import { DishBench } from './dish-bench.tsx';

/** The dish stands open as long as it sublimes. */
export const sublimeView: TechniqueView<'sublime'> = {
  panes: [],
  opens: () => null,
  Working: DishBench,
  Says: null,
};
