import { fail, ok, type Result } from '#core/problem';
import { substanceById } from '#core/substance';

/** Mass % above which no plan is made here, whatever the route. Beyond lies licensed practice. */
const CEILINGS: Readonly<Record<string, number>> = {
  'sulfuric-acid': 70,
  'nitric-acid': 68,
  'hydrogen-peroxide': 12,
  'hydrochloric-acid': 37,
};

/** Refuses a target stronger than a reagent bench needs. `pct` is mass %. */
export function scopeLimit(substanceId: string, pct: number): Result<true> {
  const ceiling = CEILINGS[substanceId];
  if (ceiling === undefined || pct <= ceiling) return ok(true);
  const name = substanceById(substanceId)?.name ?? substanceId;
  return fail(
    'beyond-scope',
    `${name} above ${ceiling} % is not planned here: it is for a licensed laboratory. Ask for ${ceiling} % or less.`,
    {
      field: 'target.strength',
    },
  );
}
