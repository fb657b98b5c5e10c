import type { Figure } from '#core/figure';
import type { Present } from '#core/guard';
import { type Contents, liquidVolume } from '#core/vessel';
import { presentIn } from './material.ts';
import { contentsMass } from './walk-keep.ts';
import type { Walk } from './walker.ts';

/** What is in the vessel now, by what was entered; and the liquor that was set apart. */
export interface Now {
  readonly contents: Contents;
  readonly volumeMl: number;
  readonly massG: number;
  readonly present: readonly Present[];
  readonly liquor: Contents | null;
  /** mol of the reaction that makes the product, so far. */
  readonly extent: Figure | null;
}

export function nowOf(so: Walk): Now {
  return {
    contents: { ...so.contents, amounts: present(so.contents.amounts) },
    volumeMl: liquidVolume(so.contents),
    massG: contentsMass(so.contents),
    present: presentIn(so.contents),
    liquor: so.liquor ?? null,
    extent: so.extent ?? null,
  };
}

/** Without what has been used up. */
function present(amounts: Contents['amounts']): Contents['amounts'] {
  return Object.fromEntries(Object.entries(amounts).filter(([, n]) => n.value > 1e-9));
}
