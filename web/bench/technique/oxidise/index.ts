import type { TechniqueView } from '../technique-view.ts';
import { OxidiseBench } from './oxidise-bench.tsx';

/** Its course stands open as long as it is left to itself. */
export const oxidiseView: TechniqueView<'oxidise'> = {
  panes: [],
  opens: () => null,
  Working: OxidiseBench,
  Says: null,
};
