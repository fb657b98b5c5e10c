import { one, optional, text } from '#base/shape';
import { substance } from '#matter/substance';
import { vesselNames } from '#matter/vessel';
import { where } from '../where.ts';

/**
 * Distilled out of its vessel, the flask, into another, until `control` is reached: so much of all that was charged has gone
 * over, % by volume, counted from the first drop; or, `by` the flask, its temperature, °C. `volatile` boils with water.
 * `over` is what its vapour is led over: water that takes up the gas which does not condense.
 */
export const fields = {
  ...where,
  volatile: substance(),
  /** The other liquid that boils with it; without it, water. What water there is then goes over with the first of it. */
  besides: optional(substance()),
  into: one(...vesselNames),
  control: text(40),
  by: optional(one('share', 'pot')),
  over: optional(one('absorber')),
};
