import { substance } from '#matter/substance';
import { where } from '../where.ts';

/** The layer of this liquid is kept; the water under or over it is run off. */
export const fields = { ...where, liquid: substance() };
