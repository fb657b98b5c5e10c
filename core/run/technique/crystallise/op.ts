import { text } from '#base/shape';
import { where } from '../where.ts';

/** Cooled until what the cold liquor cannot hold has crystallised. */
export const fields = { ...where, control: text(40) };
