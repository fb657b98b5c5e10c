import { ok, type Result } from '#base/problem';
import type { Reaction } from '#matter/reaction';
import { substanceOf } from '#matter/substance';
import { admitThing } from './admit.ts';

/** Comes of ordinary salts in solution, where it may lie and is never brought out: the deeds that would are refused one by one. */
const IN_SOLUTION_ONLY: ReadonlySet<string> = new Set(['ammonium-nitrate']);

/** Whether an equation may be planned and computed: what goes in, what is made, and what comes off besides. */
export function admitReaction({ reactants, products }: Pick<Reaction, 'reactants' | 'products'>): Result<true> {
  for (const { substanceId } of [...reactants, ...products]) {
    if (IN_SOLUTION_ONLY.has(substanceId)) continue;
    const allowed = admitThing(substanceOf(substanceId));
    if (!allowed.ok) return allowed;
  }
  return ok(true);
}
