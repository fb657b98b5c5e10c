import type { Figure } from '#base/figure';
import type { At } from '../facts.ts';
import type { Doing } from '../outcome.ts';
import { liquidAsRead } from './liquid.ts';
import { solidAsRead } from './solid.ts';
import { solutionAsRead } from './solution.ts';

export { liquidMoved } from './liquid.ts';
export { inMoments, type Moment } from './moments.ts';
export { passedOn, solutionMoved } from './solution.ts';

/**
 * At the last steps only what was made stands there: its mass, volume, strength and density are what they are read to be. Less
 * of it than was computed was left behind somewhere; more came with water, or was caught where it was thought lost. Nothing is
 * read here that the step itself takes.
 */
export function standAsMeasured(doing: Doing, step: At & { readonly filled: Figure | undefined }): void {
  const { makes } = step.facts.recipe;
  if (makes.kind === 'solution') solutionAsRead(doing, step);
  if (makes.kind === 'liquid') liquidAsRead(doing, step, makes);
  if (makes.kind === 'solid') solidAsRead(doing, step);
}
