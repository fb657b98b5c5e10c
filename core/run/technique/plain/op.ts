import { where } from '../where.ts';

/** Something that changes nothing in a vessel: setting out, bottling, a label. */
export const fields = { ...where };
