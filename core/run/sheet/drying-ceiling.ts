import { ceilingOf } from '#model/dry';
import { type Facts, solidMade } from '#run/technique';

/** The data tables hold how solids are dried in practice from this revision on. */
const WITH_PRACTICE = 2;

/** °C that the product is dried below: the route's ceiling, or what practice says of the solid where that is lower. */
export function dryingCeiling(facts: Facts): number | undefined {
  const own = facts.recipe.drying?.ceilingC;
  const made = solidMade(facts);
  if (own === undefined || !made || facts.tables < WITH_PRACTICE) return own;
  return Math.min(own, ceilingOf(made.solid)?.tempC ?? own);
}
