import { one, optional, text } from '#base/shape';
import { where } from '../where.ts';

/**
 * Left to evaporate, or warmed below the boil. `control` is the share of its water that is left, or, `by` its salt, the g of
 * it for each 100 g of water that is left: that hangs on no reagent's own water.
 */
export const fields = { ...where, control: text(40), by: optional(one('water', 'salt')) };
