import type { TechniqueView } from '../technique-view.ts';
import { FunnelBench } from './funnel-bench.tsx';

/** The funnel stands open until its layers are parted. */
export const separateView: TechniqueView<'separate'> = {
  panes: [],
  opens: () => null,
  Working: FunnelBench,
  Says: null,
};
