import { number, one, optional } from '#base/shape';
import { where } from '../where.ts';

/** Through a paper or a cloth: the solid is the product, or the filtrate is. */
export const fields = {
  ...where,
  keep: one('solid', 'filtrate'),
  /** g of liquor that a g of what lies on the filter keeps, rinsed as the step says; nothing where it is not known. */
  holds: optional(number({ min: 0, max: 20 })),
};
