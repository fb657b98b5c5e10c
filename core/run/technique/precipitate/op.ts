import { where } from '../where.ts';

/** What does not dissolve settles. */
export const fields = { ...where };
