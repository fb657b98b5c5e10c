import { where } from '../where.ts';

/** A cake is washed with portions of water, which run off with what they dissolve. */
export const fields = { ...where };
