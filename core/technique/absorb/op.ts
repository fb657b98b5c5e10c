import { one, substance, text } from '#core/shape';
import { vesselNames } from '#core/vessel';
import { where } from '../where.ts';

/**
 * Gas of a `reaction` led into water of another vessel. `arrives` names the control with the per cent of it that gets there, `ceiling`
 * the one with the warmth that the water is kept under.
 */
export const fields = {
  ...where,
  reaction: text(60),
  gas: one('hydrogen-chloride', 'ammonia-gas', 'carbon-dioxide', 'sulfur-dioxide'),
  as: substance(),
  into: one(...vesselNames),
  arrives: text(40),
  ceiling: text(40),
};
