import type { TechniqueView } from '../technique-view.ts';
import { StillBench } from './still-bench.tsx';

/** The still stands open as long as it runs. */
export const distilView: TechniqueView<'distil'> = {
  panes: [],
  opens: () => null,
  Working: StillBench,
  Says: null,
  leads: true,
};
