import { text } from '#base/shape';
import { where } from '../where.ts';

/** Water is boiled off until the product stands at a strength, g per 100 g of water. */
export const fields = { ...where, control: text(40) };
