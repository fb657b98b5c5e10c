import type { At } from '../facts.ts';
import type { Doing, Standing } from '../outcome.ts';
import { liquidAsRead } from './liquid.ts';
import { solutionAsRead } from './solution.ts';

export { passedOn } from './solution.ts';

/**
 * At the last steps only what was made stands there: its mass, volume, strength and density are what they are read to be. Less
 * of it than was computed was left behind somewhere; more came with water, or was caught where it was thought lost. Nothing is
 * read here that the step itself takes.
 */
export function standAsMeasured(doing: Doing, standing: Standing, step: At): void {
  const { makes } = step.facts.recipe;
  if (makes.kind === 'solution') solutionAsRead(doing, standing, step);
  if (makes.kind === 'liquid') liquidAsRead(doing, step, makes);
}
