import { where } from '../where.ts';

/** Water to a volume; the strength then follows from what went in. */
export const fields = { ...where };
