import { list, one, optional, text } from '#base/shape';
import { substance } from '#matter/substance';
import { vesselNames } from '#matter/vessel';
import { where } from '../where.ts';

/**
 * Gas of a `reaction` led into the liquid of another vessel. `arrives` names the control with the per cent of it that gets there,
 * `ceiling` the one with the warmth that the liquid is kept under.
 */
export const fields = {
  ...where,
  reaction: text(60),
  /** For other sources of the same gas. */
  also: optional(list(text(60), 10)),
  gas: one('hydrogen-chloride', 'ammonia-gas', 'carbon-dioxide', 'sulfur-dioxide', 'chlorine'),
  as: substance(),
  into: one(...vesselNames),
  arrives: text(40),
  ceiling: text(40),
  /** What the gas does with the lye that stands in the absorber; without it, the gas dissolves in water. */
  takes: optional(text(60)),
  /** Where the reagent waits that is let in drop by drop; without it all of it is in the generator. */
  drips: optional(one('funnel')),
  /** The control with the mL of gas that are to come in a minute. */
  pace: optional(text(40)),
  /** The control with the mol of acid that come along with 100 mol of the gas. */
  along: optional(text(40)),
};
