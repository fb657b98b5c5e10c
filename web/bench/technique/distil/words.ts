import type { StillRun } from '#core/state';
import { substanceOf } from '#core/substance';

/** What is distilled, in a word or two. */
export function mixtureName({ volatile }: Pick<StillRun, 'volatile'>): string {
  return substanceOf(volatile).name;
}
