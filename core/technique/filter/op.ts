import { one } from '#core/shape';
import { where } from '../where.ts';

/** Through a paper or a cloth: the solid is the product, or the filtrate is. */
export const fields = { ...where, keep: one('solid', 'filtrate') };
