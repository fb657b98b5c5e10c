import type { TechniqueView } from '../technique-view.ts';

/** What was caught goes back into solution. */
export const redissolveView: TechniqueView<'redissolve'> = {
  panes: [],
  opens: () => null,
  Working: null,
  Says: null,
};
