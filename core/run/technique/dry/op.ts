import { optional, text } from '#base/shape';
import { where } from '../where.ts';

/** Dried to constant mass; `waterControl`: % of water that the product keeps. */
export const fields = { ...where, waterControl: optional(text(40)) };
