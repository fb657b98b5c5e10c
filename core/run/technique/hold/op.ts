import { where } from '../where.ts';

/** Kept as it is for a while: cooled, simmered, stirred, left to stand. */
export const fields = { ...where };
