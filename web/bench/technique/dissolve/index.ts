import type { TechniqueView } from '../technique-view.ts';
import { DissolveSays } from './dissolve-says.tsx';

/** It is warmed until it dissolves: the water to spare. */
export const dissolveView: TechniqueView<'dissolve'> = {
  panes: [],
  opens: () => null,
  Working: null,
  Says: DissolveSays,
};
