import { text } from '#core/shape';
import { where } from '../where.ts';

/** Left to evaporate, or warmed below the boil, until a share of its water is left. */
export const fields = { ...where, control: text(40) };
