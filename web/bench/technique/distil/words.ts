import { substanceOf } from '#matter/substance';
import type { StillRun } from '#run/state';

/** What is distilled, in a word or two. */
export function mixtureName({ volatile }: Pick<StillRun, 'volatile'>): string {
  return substanceOf(volatile).name;
}
