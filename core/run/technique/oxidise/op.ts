import { list, one, text } from '#base/shape';
import { where } from '../where.ts';

/**
 * Kept at `temp` °C for `hours` h, both controls, while peroxide frees a halogen of its halide. `reactions` are the ways to it, one
 * for each halide and acid; the first that finds all of its own in the vessel is the one that goes.
 */
export const fields = {
  ...where,
  reactions: list(text(60), 20, 1),
  halogen: one('bromine', 'iodine'),
  temp: text(40),
  hours: text(40),
};
