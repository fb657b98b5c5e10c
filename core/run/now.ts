import type { Figure } from '#core/figure';
import { type Contents, liquidVolume } from '#core/vessel';
import type { Walk } from './walker.ts';

/** What is in the vessel now, by what was entered; and the liquor that was set apart. */
export interface Now {
  readonly contents: Contents;
  readonly volumeMl: number;
  readonly liquor: Contents | null;
  /** mol of the reaction that makes the product, so far. */
  readonly extent: Figure | null;
}

export function nowOf(so: Walk): Now {
  return {
    contents: so.contents,
    volumeMl: liquidVolume(so.contents),
    liquor: so.liquor ?? null,
    extent: so.extent ?? null,
  };
}
