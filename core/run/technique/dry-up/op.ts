import { where } from '../where.ts';

/** Left to dry up: all that was dissolved stays as a crust, product and other salts together. */
export const fields = { ...where };
