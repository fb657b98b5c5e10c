import type { TechniqueView } from '../technique-view.ts';
import { EsterBench } from './ester-bench.tsx';

/** Its course stands open as long as it is kept warm. */
export const esterifyView: TechniqueView<'esterify'> = {
  panes: [],
  opens: () => null,
  Working: EsterBench,
  Says: null,
};
